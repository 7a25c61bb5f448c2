import { slackTaken } from '../../calculations/crank/crank-plan.ts';
import { labelOf } from '../../job/run-sheet.ts';
import { degText, list } from '../../job/texts.ts';
import { mod } from '../../numerics/angles.ts';
import type { CrankPlace } from './place/place.ts';
import type { CrankState } from './works.ts';
import type { CrankTarget } from './words.ts';

/** How far past the target the crank stands, when it has just been passed; null when it has not. */
export function passedBy(target: CrankTarget | null, place: CrankPlace, cycleDeg: number): number | null {
  if (!target || place.crankDeg === null) return null;
  const past = mod(
    place.crankDeg - target.deg,
    place.strokeKnown && !target.eitherTdc ? cycleDeg : Math.min(360, cycleDeg)
  );
  return past > 0.05 && past <= JUST_PASSED_DEG ? past : null;
}
const JUST_PASSED_DEG = 60;

/** What to do about having passed the target, in the school chosen. Passing it is ordinary: only stepping back a little is wrong. */
export function passedText(pastDeg: number, school: string, backlashDeg: number | null): string {
  const past = `You are ${degText(pastDeg)} past it.`;
  return school === 'forward'
    ? `${past} Do not step back onto it: go on forward and round again.`
    : `${past} Do not step back onto it: go back ${degText(pastDeg + slackTaken(backlashDeg))}, well beyond all slack, then come forward ${degText(slackTaken(backlashDeg))}.`;
}

/** Why the way to the target cannot be worked out: what the data sheet lacks for it, by name. */
export function planLacks({ sheet, engine, reference }: CrankState): string {
  const names = [
    ...(reference === null && sheet.reference !== undefined ? [sheet.reference] : []),
    ...['runningDirection'].filter((name) => !engine.values[name])
  ];
  if (names.length === 0) return 'The way there cannot be worked out: this run sheet brings the crank to no reference.';
  return `The turn cannot be worked out: the data sheet lacks ${list(names.map((n) => `“${labelOf(sheet, n)}”`))}. Enter it with its source, and the way there follows.`;
}
