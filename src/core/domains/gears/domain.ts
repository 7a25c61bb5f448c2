import type { Domain, Open, StepView } from '../../job/domain.ts';
import { turnWord } from '../../job/texts.ts';
import { domain as distributor } from '../distributor/domain.ts';
import { bodyOpen, bodyWork } from './body-work.ts';
import { gearFinding, gearWork } from './gear-work.ts';
import { asks, type GearsVocabulary } from './vocabulary.ts';
import type { GearsState, GearsWorks } from './works.ts';

/** The drive gear: old against new, its place on the shaft, its installed dimension. */
export const domain: Domain<GearsWorks, GearsVocabulary['school']> = {
  name: 'gears',
  needs: [distributor],
  works: { gears: (c) => gearWork(c.engine, c.r), bodies: (c) => bodyWork(c.engine, c.r) },
  surfaces: {
    gears: { headline: gearsHeadline, open: gearsOpen },
    bodies: {
      headline: ({ work: { bodies } }) => {
        if (bodies.rows.every((x) => x.diff === null)) return null;
        const open = bodyOpen(bodies);
        return open === null
          ? 'It fits where the old one was: every difference is within what may be'
          : `${open.charAt(0).toUpperCase()}${open.slice(1)}`;
      },
      open: ({ work: { bodies } }) => bodyOpen(bodies)
    }
  },
  schools: { 'gear-fix': () => ({ option: 'shims', because: 'what is shimmed can be undone' }) }
};

function gearsHeadline(state: GearsState, v: StepView): string | null {
  const { gears } = state.work;
  if (asks(v, 'gear-turned') && gears.reindex) {
    const { rotorShiftDeg, crankDeg } = gears.reindex;
    return Math.abs(rotorShiftDeg) < 0.05
      ? 'Turned by whole teeth: rotor against teeth is as it was'
      : `Rotor shifts ${Math.abs(rotorShiftDeg).toFixed(1)}° ${turnWord(rotorShiftDeg > 0 ? 'cw' : 'ccw')} against the teeth, ${Math.abs(crankDeg).toFixed(1)}° of the crank`;
  }
  if (!asks(v, 'new-teeth')) return null;
  if (gears.ok === null)
    return gears.rows.some((r) => r.fresh !== null) ? `Still unknown: ${gears.lacks.join(', ')}` : null;
  if (!gears.ok) return `Do not fit it. ${gearFinding(gears.findings!.find((f) => f.severity === 'stop')!)}`;
  const unknown = gears.rows.filter((r) => r.state === 'unknown').length;
  return unknown ? `Nothing differs so far; ${unknown} not compared` : 'Old and new agree';
}

/** Whether the units compare: a gear that must not be fitted is let go by no reason. Its material is answered for by itself. */
function gearsOpen(state: GearsState, v: StepView): Open | null {
  const { gears } = state.work;
  if (!asks(v, 'new-teeth')) return null;
  const of = ['unit-compared'];
  if (gears.ok === null) return { what: `unknown: ${gears.lacks.join(', ')}`, short: 'nothing', of };
  if (gears.ok) return null;
  return {
    what: gearFinding(gears.findings!.find((f) => f.severity === 'stop')!).replace(/\.$/, ''),
    short: 'out',
    of,
    never: true
  };
}
