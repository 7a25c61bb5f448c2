/** Where the parts of a drive lie in the drawing, from their measures. Lengths in mm in, drawing units out. */
export interface StackShape {
  floatMm: number | null;
  packingMm: number;
  gasketMm: number;
  engagementMm: number | null;
  clearanceMm: number | null;
}

/** Gaps of a few hundredths are drawn this many times larger than depths. */
export const GAP_UNITS = 90;
export const DEPTH_UNITS = 6;
export const EXAGGERATED = GAP_UNITS / DEPTH_UNITS;

const GEAR_TOP = 172;
export const GEAR_HEIGHT = 66;
const BOSS = 46;
const TANG_TIP = 306;

const within = (x: number, low: number, high: number) => Math.min(high, Math.max(low, x));

export interface StackPlaces {
  /** lower face of the pedestal or housing: below the gear's top when the drive is clamped */
  thrust: number;
  flangeBottom: number;
  blockTop: number;
  gearTop: number;
  gearBottom: number;
  tangTip: number;
  pumpTop: number;
  slotBottom: number;
  clamped: boolean;
}

/**
 * The drive in section, top down. The gear stays where it is; float moves the face above it, packing fills between
 * flange and block, so the block's face stands still while packing and float change together.
 */
export function stackPlaces(s: StackShape): StackPlaces {
  const float = within((s.floatMm ?? 0.15) * GAP_UNITS, -10, 34);
  const under = within(s.packingMm * GAP_UNITS, 0, 34) + within(s.gasketMm * 8, 0, 14);
  const thrust = GEAR_TOP - float;
  const flangeBottom = thrust - BOSS;
  return {
    thrust,
    flangeBottom,
    blockTop: flangeBottom + under,
    gearTop: GEAR_TOP,
    gearBottom: GEAR_TOP + GEAR_HEIGHT,
    tangTip: TANG_TIP,
    pumpTop: TANG_TIP - within((s.engagementMm ?? 5) * DEPTH_UNITS, -8, 58),
    slotBottom: TANG_TIP + within((s.clearanceMm ?? 1) * DEPTH_UNITS, -6, 30),
    clamped: s.floatMm !== null && s.floatMm <= 0
  };
}

/** Labels beside a drawing, moved apart so that none touches another; each keeps the height it points to. */
export function spread(wanted: readonly number[], apart: number, top: number, bottom: number): number[] {
  const order = wanted.map((y, k) => ({ y, k })).sort((a, b) => a.y - b.y);
  let last = top - apart;
  for (const o of order) last = o.y = Math.max(o.y, last + apart);
  let next = bottom + apart;
  for (const o of [...order].reverse()) next = o.y = Math.min(o.y, next - apart);
  const out: number[] = [];
  for (const o of order) out[o.k] = o.y;
  return out;
}
