import type { StockItem } from '$core/tray/part-kinds.ts';

/** The advance mechanism as drawn: the stop's slot runs at its true angle, everything else is a picture. */
export const CENTRE = { x: 120, y: 100 };
export const SLOT_RADIUS = 78;
/** where the pin lies at no advance, degrees clockwise from the top */
export const SLOT_FROM_DEG = 80;
/** drawing units a spring is pulled for the next one of the tray */
export const PULL_STEP = 9;

export interface Put {
  a: string;
  b: string;
  stop: string;
}

const toRad = (deg: number) => (deg * Math.PI) / 180;

/** Point of the slot at so many degrees of advance. */
export function slotPoint(deg: number): { x: number; y: number } {
  const a = toRad(SLOT_FROM_DEG + deg);
  return { x: CENTRE.x + SLOT_RADIUS * Math.sin(a), y: CENTRE.y - SLOT_RADIUS * Math.cos(a) };
}

/** Degrees of advance under a point of the drawing; behind the slot's beginning it is below zero. */
export function slotDegAt(p: { x: number; y: number }): number {
  const deg = (Math.atan2(p.x - CENTRE.x, CENTRE.y - p.y) * 180) / Math.PI - SLOT_FROM_DEG;
  return deg < -180 ? deg + 360 : deg;
}

/** Springs from soft to stiff, or stops from short to long: the order in which they are pulled through. */
export function inOrder(items: readonly StockItem[]): StockItem[] {
  const size = (s: StockItem) => (s.kind === 'stop' ? s.deg : s.rateNPerMm) ?? 0;
  return [...items].sort((x, y) => size(x) - size(y) || x.name.localeCompare(y.name));
}

/** The item so many places on from the one with this id, held at both ends of the tray. */
export function along(ordered: readonly StockItem[], id: string, steps: number): string {
  const from = ordered.findIndex((s) => s.id === id);
  const to = Math.min(ordered.length - 1, Math.max(0, from + steps));
  return ordered[to]?.id ?? id;
}

/** The stop of the tray nearest to an angle. */
export function nearestStop(stops: readonly StockItem[], deg: number): StockItem | undefined {
  const off = (s: StockItem) => Math.abs((s.deg ?? 0) - deg);
  return stops.reduce<StockItem | undefined>((best, s) => (best && off(best) <= off(s) ? best : s), undefined);
}

/** A stiffer spring is drawn with fewer, thicker turns. */
export function coil(x: number, y: number, rateNPerMm: number): { path: string; thick: number } {
  const turns = Math.max(5, Math.min(12, Math.round(13 - rateNPerMm * 2)));
  const step = 70 / turns;
  return {
    path: `M${x} ${y}h8${Array.from({ length: turns }, () => `l${step / 2} -9l${step / 2} 9`).join('')}h8`,
    thick: Math.min(4, 1.4 + rateNPerMm * 0.6)
  };
}
