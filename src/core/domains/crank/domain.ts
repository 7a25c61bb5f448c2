import { slackTaken } from '../../calculations/crank/crank-plan.ts';
import { driveSlack } from './slack.ts';
import { numberOf } from '../../engine/engine.ts';
import type { Domain } from '../../job/domain.ts';
import { referenceOf } from '../../job/reference.ts';
import { wrap180 } from '../../numerics/angles.ts';
import { domain as engine } from '../engine/domain.ts';
import { walkCrank } from './place/walk.ts';
import { doubts } from './doubts.ts';
import { earlierMark, markError } from './mark-work.ts';
import { middles } from './middles.ts';
import { replays } from './replays.ts';
import { settle } from './settle.ts';
import { surfaces } from './surfaces.ts';
import { tdcWork } from './tdc-work.ts';
import { choiceOf, holds, type CrankVocabulary } from './vocabulary.ts';
import type { CrankContext, CrankWorks } from './works.ts';

/** Crank and piston: true TDC, the damper's mark, the stroke, where the crank stands and how to turn it. */
export const domain: Domain<CrankWorks, CrankVocabulary['school']> = {
  name: 'crank',
  needs: [engine],
  works: {
    tdc: (c) =>
      tdcWork(
        c.engine,
        c.r.readings,
        c.schools.tdc.option,
        c.sheet.steps.find((s) => s.surface === 'tdc')?.id,
        () => c.works.fit,
        c.r.began
      ),
    mark: (c) => markOf(c),
    walk: (c) => walk(c),
    signs: (c) => c.works.walk.signs,
    evidence: (c) => c.works.walk.evidence,
    crank: (c) => c.works.walk.place,
    slack: (c) => driveSlack(c.engine, c.r),
    placeAt: (c) => (seq: number) => walk(c, seq).place
  },
  corrects: (c) => c.works.mark,
  answers: (c) => ({ markDoubted: markDoubted(c) }),
  // proved on an earlier job, and good enough for this one
  gives: (c) => (markDoubted(c) === false ? ['damper-verified'] : []),
  // the wheel no longer tells the stroke: what rested on it falls
  falls: (c) => (turnsOpen(c) ? ['compression-confirmed', 'crank-at-reference'] : []),
  surfaces,
  interlocks: (c) => [
    ...(oneSign(c) ? ['IL.11'] : []),
    ...(steppedBack(c) ? ['IL.13'] : []),
    ...(shortBack(c) ? ['IL.95'] : [])
  ],
  schools: {
    tdc: () => ({ option: 'pairs', because: 'it cancels the flat top and forces nothing' }),
    overshoot: (e) =>
      choiceOf(e, 'reversal') === 'forbidden'
        ? { option: 'forward', because: 'the data sheet forbids turning back' }
        : { option: 'backUp', because: 'turning back is not forbidden on the data sheet, and both ways end forward' },
    slack: (e) =>
      numberOf(e, 'backlashDeg') === undefined
        ? { option: 'unknown', because: 'neither this job nor the data sheet knows it' }
        : { option: 'data', because: 'the data sheet has it' },
    compression: () => ({
      option: 'valves',
      because: 'on a fresh build the covers are off, and the valves beat any pressure sign'
    })
  },
  figures: settle,
  repeats: middles,
  doubts,
  replays
};

/**
 * The mark's error: as this job found it; on a sheet that looks for TDC in any case nothing before that, else as an earlier
 * job proved it.
 */
function markOf(c: CrankContext) {
  if (c.works.tdc.found) return markError(c.works.tdc, c.engine);
  const always = c.sheet.steps.some((s) => s.surface === 'tdc' && s.onlyIf === undefined);
  return always || ringWalked(c) ? null : earlierMark(c.engine, c.r.began);
}

/** The ring was seen to have walked: what an earlier job proved is no longer so. */
const ringWalked = (c: CrankContext): boolean => c.r.chosen.get('ring-seen') === 'walked';

/** Without limits for the timing a mark has to be known to within this, degrees: a rule of thumb. */
const MARK_WITHIN_DEG = 1;

/**
 * Whether the mark is to be proved on this job: no job proved it, its ring has walked, or its doubt has grown beyond a quarter
 * of what the timing may lie in. Undefined on sheets that look for TDC in any case, or never.
 */
function markDoubted(c: CrankContext): boolean | undefined {
  if (!c.sheet.steps.some((s) => s.surface === 'tdc' && s.onlyIf?.fact === 'markDoubted')) return undefined;
  const known = ringWalked(c) ? null : earlierMark(c.engine, c.r.began);
  const [min, max] = [numberOf(c.engine, 'staticMinBtdc'), numberOf(c.engine, 'staticMaxBtdc')];
  const within = min === undefined || max === undefined ? MARK_WITHIN_DEG : (max - min) / 4;
  return known === null || 2 * known.uDeg > within + 1e-9;
}

/** Signs were given, and they are one alone. */
const oneSign = (c: CrankContext): boolean => c.works.signs.length === 1;

/** The turn back that is relied on was shorter than the rule of thumb, and nobody knows how large the slack is. */
const shortBack = (c: CrankContext): boolean => {
  const { turnedBackDeg } = c.works.walk;
  return c.works.slack.from === 'unknown' && turnedBackDeg !== null && turnedBackDeg < slackTaken(null) - ON_IT_DEG;
};

/** Last moved backward, and standing on the reference within half a division of a wheel. */
function steppedBack(c: CrankContext): boolean {
  const { crankDeg, lastMove } = c.works.crank;
  const btdc = referenceOf(c.sheet, c.engine, c.r.readings, c.r.chosen);
  if (crankDeg === null || lastMove !== 'backward' || btdc === undefined) return false;
  return Math.abs(wrap180(crankDeg + btdc)) <= ON_IT_DEG;
}
const ON_IT_DEG = 1;

/** A reading left open how far the crank was turned. While the timing pin goes in or is in, it holds the crank all the same. */
function turnsOpen({ sheet, r, works }: CrankContext): boolean {
  const { asks, reading, strokeKnown } = works.crank;
  // nobody could say how it was turned, and no signs were given since
  if (reading !== null && !strokeKnown && r.went.some((e) => e.reading === reading && e.travelDeg === null))
    return true;
  if (!asks) return false;
  const at = r.readings.find((x) => x.id === asks.reading)?.step;
  const pins = sheet.steps.find((s) => s.id === at)?.acts.includes('pins-crank');
  return !pins || (r.marks.has(at!) && !holds(r, 'engine-pin-in'));
}

const walk = ({ sheet, engine: e, r, works, schools }: CrankContext, untilSeq?: number) =>
  walkCrank(
    { sheet, engine: e, r, tdc: works.tdc, approach: schools.overshoot.option === 'forward' ? 'forward' : 'backUp' },
    untilSeq
  );
