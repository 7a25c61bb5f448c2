import type { Domain } from '../../job/domain.ts';
import { degText, list, type LengthText } from '../../job/texts.ts';
import { formatTiming } from '../../units/format.ts';
import { domain as crank } from '../crank/domain.ts';
import type { CrankWorks } from '../crank/works.ts';
import { settled } from './figures.ts';
import { flywheelWork } from './flywheel-work.ts';
import { choiceOf, numberOf, type FlywheelVocabulary } from './vocabulary.ts';
import type { FlywheelState, FlywheelWorks } from './works.ts';

/** A two-stroke of several cylinders: each one's mark by piston height, leads matched, the full-throttle stop. */
export const domain: Domain<FlywheelWorks & CrankWorks, FlywheelVocabulary['school']> = {
  name: 'flywheel',
  needs: [crank],
  works: { flywheel: (c) => flywheelWork(c.engine, c.r) },
  surfaces: {
    'piston-height': { headline: (s, _, len) => heightHeadline(s, len), open: (s) => heightOpen(s) },
    flywheel: { headline: (s) => marksHeadline(s), open: (s) => marksOpen(s) },
    matched: { headline: (s) => matchedHeadline(s), open: (s) => matchedOpen(s) },
    'stop-screw': { headline: (s) => stopHeadline(s), open: (s) => stopOpen(s) }
  },
  schools: {
    'twostroke-check': () => ({ option: 'all', because: 'spacing is then proved and not assumed' }),
    'throttle-from': () => ({ option: 'lever', because: 'the stretch of the linkage is then in it' })
  },
  figures: (state: FlywheelState) => {
    const w = state.work.flywheel;
    const worst = w.rows.reduce((most, x) => Math.max(most, Math.abs(x.errorDeg ?? 0)), 0);
    return w.state === null
      ? []
      : [
          settled('flywheel-marks', {
            value: worst,
            u: w.uDeg,
            verdict: w.state,
            limits: `\u00b1 ${w.withinDeg}°`,
            calc: 'flywheel.marks',
            output: w.rows.map(({ cylinder, errorDeg, errorMm }) => ({ cylinder, errorDeg, errorMm }))
          })
        ];
  }
};

function heightHeadline(state: FlywheelState, len: LengthText): string | null {
  const w = state.work.flywheel;
  const btdc = numberOf(state.engine, 'fullAdvanceBtdc');
  if (w.problem) return w.problem.message;
  return w.dropMm === null || btdc === undefined
    ? null
    : `${formatTiming(btdc, 1)} is ${len(w.dropMm, 2)} below the top on this engine`;
}

const heightOpen = (state: FlywheelState): string | null => {
  const w = state.work.flywheel;
  if (w.problem) return w.problem.message.replace(/\.$/, '');
  return w.dropMm === null ? 'stroke, rod, full advance or the flywheel\u2019s diameter is missing' : null;
};

function marksHeadline(state: FlywheelState): string | null {
  const w = state.work.flywheel;
  if (w.strange.length) return `There is no cylinder ${w.strange[0]}`;
  if (!w.rows.some((x) => x.found)) return null;
  const missing = w.rows.filter((x) => !x.found).map((x) => String(x.cylinder));
  if (missing.length) return `Still to find: ${list(missing)}`;
  if (w.pattern) return w.pattern;
  if (w.state === null) return 'Not judged: how far a mark may lie off is not on the data sheet';
  const may = `\u00b1 ${w.withinDeg}° may be`;
  return w.state === 'in'
    ? `Every cylinder\u2019s mark lies where it must: ${may}`
    : `A mark is too close to call, ${may}: read the marks finer`;
}

function marksOpen(state: FlywheelState): string | null {
  const w = state.work.flywheel;
  if (choiceOf(state.engine, 'cycle') === undefined) return 'the cycle is not on the data sheet';
  if (w.strange.length) return `there is no cylinder ${w.strange[0]}`;
  const missing = w.rows.filter((x) => !x.found).map((x) => String(x.cylinder));
  if (missing.length || w.rows.length === 0)
    return missing.length ? `no mark was found for ${list(missing)}` : 'the firing order is missing';
  if (w.state === null) return 'how far a mark may lie off is not on the data sheet';
  return w.state === 'in' ? null : `a mark is ${w.state === 'out' ? 'off' : 'too close to call'}`;
}

function matchedHeadline(state: FlywheelState): string | null {
  const { matched, rows } = state.work.flywheel;
  const wrong = matched.find((m) => m.lead !== m.seen);
  if (wrong) return `The lead of ${wrong.lead} fires cylinder ${wrong.seen}: leads or triggers are swapped`;
  if (!matched.length) return null;
  const left = rows.map((x) => x.cylinder).filter((c) => !matched.some((m) => m.lead === c));
  return left.length
    ? `Matched: ${list(matched.map((m) => String(m.lead)))}; still to see: ${list(left.map(String))}`
    : 'Every lead fires its own cylinder';
}

function matchedOpen(state: FlywheelState): string | null {
  const { matched, rows } = state.work.flywheel;
  if (matched.some((m) => m.lead !== m.seen)) return 'a lead fires another cylinder';
  const left = rows.map((x) => x.cylinder).filter((c) => !matched.some((m) => m.lead === c));
  return left.length || rows.length === 0 ? `not seen yet: ${list(left.map(String))}` : null;
}

function stopHeadline(state: FlywheelState): string | null {
  const { stop } = state.work.flywheel;
  if (stop.problem) return stop.problem.message;
  if (stop.turnsFromLast === null)
    return stop.readings.length ? 'Turn the screw a whole turn or more and read it again' : null;
  const t = stop.turnsFromLast;
  const u = 2 * stop.uTurns!;
  if (Math.abs(t) <= u)
    return `It stands within what can be told, \u00b1 ${u.toFixed(1)} turns: tighten the lock nut and read again`;
  return `Turn the screw ${Math.abs(t).toFixed(1)} \u00b1 ${u.toFixed(1)} turns ${t > 0 ? 'on' : 'back'}: a turn moves it ${degText(Math.abs(stop.degPerTurn!), 2)}`;
}

function stopOpen(state: FlywheelState): string | null {
  const { stop } = state.work.flywheel;
  if (stop.problem) return stop.problem.message.replace(/\.$/, '');
  return stop.turnsFromLast === null ? 'what a turn of the screw does was not learnt: two readings at least' : null;
}
