import { wrap180 } from '../../numerics/angles.ts';
import type { Engine } from '../../engine/engine.ts';
import type { Reading, Replayed } from '../../job/replayed.ts';
import { lastOf, numberOf } from './vocabulary.ts';

export interface WitnessRow {
  what: string;
  before: Reading | null;
  after: Reading | null;
  /** clockwise positive, degrees of the distributor */
  offDeg: number | null;
  meaning: string;
}

/** Marks made before anything moved, against the same marks after the refit: what changed, and what that does. */
export function witnessWork(engine: Engine, r: Replayed): WitnessRow[] {
  const ratio = numberOf(engine, 'ratio');
  const teeth = numberOf(engine, 'gearTeeth');
  const sense = numberOf(engine, 'ratio') === undefined ? null : engine.values['rotorDirection']?.value;
  const row = (what: string, slot: 'rotor' | 'housing', meaning: (off: number) => string): WitnessRow => {
    const before = lastOf(r.readings, `${slot}-mark`);
    const after = lastOf(r.readings, `${slot}-now`);
    const offDeg = before && after ? wrap180(after.value - before.value) : null;
    return { what, before, after, offDeg, meaning: offDeg === null ? '' : meaning(offDeg) };
  };
  return [
    row('Rotor to a fixed point', 'rotor', (off) => rotorMeaning(off, teeth)),
    row('Housing to block', 'housing', (off) => {
      if (Math.abs(off) < 0.5) return 'on its mark';
      const against = sense === 'cw' ? off < 0 : off > 0;
      return `${Math.abs(off).toFixed(1)}° ${off > 0 ? 'clockwise' : 'anticlockwise'} of its mark${ratio === undefined ? '' : `: ${(Math.abs(off) / ratio).toFixed(1)}° of the crank ${against ? 'earlier' : 'later'}`}`;
    })
  ];
}

function rotorMeaning(off: number, teeth: number | undefined): string {
  if (Math.abs(off) < 0.5) return 'on its mark';
  const by = `${Math.abs(off).toFixed(1)}° ${off > 0 ? 'clockwise' : 'anticlockwise'} of its mark`;
  if (teeth === undefined) return `${by}; how many teeth that is follows once their count is on the data sheet`;
  const n = Math.round(off / (360 / teeth));
  return n === 0
    ? `${by}, less than half a tooth: the same tooth`
    : `${by}: ${Math.abs(n) === 1 ? 'one tooth' : `${Math.abs(n)} teeth`} out, lift and move ${n > 0 ? 'anticlockwise' : 'clockwise'}`;
}
