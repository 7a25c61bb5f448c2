import { pumpCorrect } from '../../calculations/pump/pump-correct.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Replayed } from '../../job/replayed.ts';
import type { LiftWork } from './lift-work.ts';
import { choiceOf, lastOf, numberOf } from './vocabulary.ts';

/** What is to be done at the gear for the timing wanted, and what the slot leaves. Gear degrees unless they say otherwise. */
export interface GearWork {
  /** earlier is above 0, degrees of the crank */
  changeCrankDeg: number;
  uCrankDeg: number;
  gearDeg: number;
  arcMm: number | null;
  /** the slot's room, as the data sheet has it; null: not known */
  slot: { advance: number; retard: number } | null;
  /** null while the slot's room is not known */
  enough: boolean | null;
  /** by how much the slot falls short, crank degrees */
  shortCrankDeg: number;
  /** moving the gear by whole teeth, and what the slot then still has to do; null where it needs none or nothing helps */
  teeth: { move: number; leftGearDeg: number } | null;
  /** how the pump's shaft turns against its gear, seen from the drive end; null where the direction is not known */
  turn: 'cw' | 'ccw' | null;
  /** what tightening moved the timing by, degrees of the crank; null until read */
  drag: { deg: number; uDeg: number } | null;
  /** how much earlier jobs saw it move */
  usualDrag: { deg: number; at: string } | null;
}

/** From the last timing measured; null before there is one. */
export function gearWork(engine: Engine, r: Replayed, found: LiftWork | null): GearWork | null {
  const target = numberOf(engine, 'pumpBtdc');
  const ratio = numberOf(engine, 'pumpRatio');
  if (!found?.timing || target === undefined || ratio === undefined) return null;
  const [advance, retard] = [numberOf(engine, 'slotAdvanceDeg'), numberOf(engine, 'slotRetardDeg')];
  const boltRadiusMm = numberOf(engine, 'boltRadiusMm');
  const slot = advance === undefined || retard === undefined ? null : { advance, retard };
  const out = pumpCorrect({
    measuredBtdc: found.timing.btdc,
    targetBtdc: target,
    ratio,
    ...(boltRadiusMm === undefined ? {} : { boltRadiusMm }),
    ...(slot ? { slotLeftDeg: slot } : {})
  });
  const early = out.changeCrankDeg > 0;
  const room = slot ? (early ? slot.advance : slot.retard) : Infinity;
  const usual = engine.earlier?.['gear-drag'];
  return {
    changeCrankDeg: out.changeCrankDeg,
    uCrankDeg: found.timing.uDeg,
    gearDeg: out.gearDeg,
    arcMm: out.arcMm ?? null,
    slot,
    enough: slot ? out.enough : null,
    shortCrankDeg: Math.max(0, out.gearDeg - room) / ratio,
    teeth:
      slot && !out.enough ? byTeeth(numberOf(engine, 'pumpGearTeeth'), out.gearDeg * (early ? 1 : -1), slot) : null,
    turn: turnOf(choiceOf(engine, 'pumpDirection'), out.changeCrankDeg),
    drag: dragOf(r, found),
    usualDrag: usual ? { deg: usual.value, at: usual.at } : null
  };
}

/** The fewest teeth after which the slot reaches the rest, either way; null where no count of teeth helps. */
function byTeeth(
  teeth: number | undefined,
  want: number,
  slot: { advance: number; retard: number }
): GearWork['teeth'] {
  if (teeth === undefined) return null;
  const pitch = 360 / teeth;
  const nearest = Math.round(want / pitch);
  for (const move of [nearest, nearest + Math.sign(want), nearest - Math.sign(want)]) {
    const left = want - move * pitch;
    if (move !== 0 && left <= slot.advance + 1e-9 && -left <= slot.retard + 1e-9) return { move, leftGearDeg: left };
  }
  return null;
}

/** For an earlier timing the shaft goes on in its running direction against the gear, for a later one back. */
function turnOf(direction: string | undefined, change: number): 'cw' | 'ccw' | null {
  if (direction !== 'cw' && direction !== 'ccw') return null;
  const other = direction === 'cw' ? 'ccw' : 'cw';
  return change >= 0 ? direction : other;
}

/** More lift after tightening than before: the pump was dragged on, its timing is earlier. */
function dragOf(r: Replayed, found: LiftWork): GearWork['drag'] {
  const [held, tight] = [lastOf(r.readings, 'lift-held'), lastOf(r.readings, 'lift-tight')];
  const slope = found.slopeMmPerDeg ?? 0;
  if (!held || !tight || slope < 1e-9 || !found.lift) return null;
  // of two readings of one dial close together its own error drops out; hand and step stay, as in the lift
  return {
    deg: (tight.value - held.value) / slope,
    uDeg: found.timing!.parts.slice(0, 2).reduce((t, p) => Math.hypot(t, p.u), 0)
  };
}
