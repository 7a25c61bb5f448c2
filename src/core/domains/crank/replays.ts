import type { JobEvent } from '../../job/events.ts';
import type { Replayed } from '../../job/replayed.ts';
import type { Rule } from '../../job/rule.ts';
import type { Step } from '../../job/run-sheet.ts';
import type { CrankVocabulary } from './vocabulary.ts';

type Flag = CrankVocabulary['flag'];
const set = (r: Replayed, flag: Flag, on: boolean) => r.flags.set(flag, on);

/** What an event does to crank and cylinder one, beyond the states its step sets. */
export function replays(r: Replayed, e: JobEvent, step: Step | undefined, happened: Rule | undefined): void {
  if (e.kind === 'reading' && step?.acts.includes('probes-cylinder'))
    // danger from the first reading on, not only once the step is done
    set(r, r.chosen.get('tdc') === 'stop' ? 'piston-stop-in' : 'probe-in', true);
  if (e.kind === 'done' && step?.acts.includes('reaches-reference'))
    r.crank.push({ crankDeg: NaN, move: 'forward', seq: e.seq });
  if (e.kind === 'done' && step?.acts.includes('pins-crank'))
    r.crank.push({ crankDeg: 0, move: 'unknown', seq: e.seq, pin: true });
  if (e.kind === 'done' && step?.acts.includes('turns-uncounted') && !byTool(r, step)) {
    set(r, 'crank-at-reference', false);
    if (!counted(r, step)) {
      r.crank.push({ crankDeg: null, move: 'unknown', seq: e.seq });
      lose(r);
    }
  }
  // it was turned although nobody was to turn it: nobody counted either
  if (happened?.forbids.includes('turns-crank') || happened?.forbids.includes('cranks-by-power')) {
    r.crank.push({ crankDeg: null, move: 'unknown', seq: e.seq });
    set(r, 'crank-at-reference', false);
    set(r, 'backlash-taken-up', false);
    lose(r);
  }
  if (e.kind === 'crank') {
    set(r, 'crank-at-reference', false);
    if (e.move !== 'forward') set(r, 'backlash-taken-up', false);
    if (e.crankDeg === null) lose(r);
  }
}

/** The oil pump was turned by tool or blade, as somebody said: the crank never moved. */
const byTool = (r: Replayed, step: Step): boolean =>
  step.schools.includes('oil-drive') && ['tool', 'blade'].includes(r.chosen.get('oil-drive') ?? '');

/** Turned by a count that was read, the crank is not lost. */
const counted = (r: Replayed, step: Step): boolean =>
  r.readings.some((x) => x.step === step.id && x.slot === 'turned-on');

/** Moved without a count: which stroke it stands on is no longer known. */
function lose(r: Replayed): void {
  set(r, 'compression-confirmed', false);
}
