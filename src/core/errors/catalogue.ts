/**
 * Every sentence the core can refuse with. A message says what was read, what was expected and what to do;
 * the code is what programs branch on.
 */
export const sentences = {
  'bad-input': (f: { what: string }) => f.what,
  'unknown-calc': (f: { name: string }) =>
    `There is no calculation called "${f.name}". The list of names is at GET /api/calc.`,
  'bad-reading': (f: { text: string; expected: string }) =>
    f.text.trim() === ''
      ? `Nothing was typed. Expected ${f.expected}.`
      : `"${f.text}" cannot be read here. Expected ${f.expected}.`,
  'wrong-unit': (f: { unit: string; quantity: string; expected: string }) =>
    `${f.unit} is not a unit of ${f.quantity}. Use ${f.expected}.`,
  'out-of-range': (f: { what: string }) => f.what,
  'needs-per-rev': (f: { text: string }) =>
    `"${f.text}" counts whole turns of a dial, but how much one turn measures is not known. Choose the dial, or type the full length.`,
  'geometry-impossible': (f: { strokeMm: number; rodMm: number; pinOffsetMm: number }) =>
    `A rod of ${f.rodMm} mm cannot follow a stroke of ${f.strokeMm} mm${f.pinOffsetMm ? ` with a pin offset of ${f.pinOffsetMm} mm` : ''}: it must be longer than half the stroke plus the offset. Check both figures.`,
  'drop-out-of-range': (f: { dropMm: number; maxMm: number }) =>
    `A piston drop of ${f.dropMm} mm does not occur: the piston travels from 0 to ${round(f.maxMm, 3)} mm. Check the dial's whole turns and the unit.`,
  'pair-swapped': (f: { pair: number; before: number; after: number }) =>
    `In pair ${f.pair} the wheel goes from ${f.before}° before the top to ${f.after}° after it, more than half a turn. The two are probably swapped.`,
  'too-few-readings': (f: { have: number; need: number; what: string }) =>
    `${f.have} ${f.what} taken, ${f.need} are needed.`,
  'one-sided': (_: object) =>
    'All readings lie on one side of the top. Take some on the other side too, or the top cannot be placed.',
  'no-slope': (_: object) => 'The readings do not change: no line can be drawn through them.',
  'curve-order': (f: { what: string }) => `${f.what} must rise from line to line.`,
  'arc-empty': (_: object) => 'The housing has no free arc: its two limits are the same.',
  'baseline-needs-zero': (_: object) => 'The measured curve must begin where the advance is still 0.',
  'lift-not-rising': (_: object) => 'The lift must grow as the crank comes forward: read lift and crank anew.',
  'baseline-not-rising': (_: object) => 'The measured curve must rise from its start to its maximum.',
  'baseline-slack': (_: object) => 'The springs of the measured curve hold nothing at rest: no start speed follows.',
  'cannot-extrapolate': (_: object) =>
    'The stop lies beyond what was measured, and the curve below it does not show how the weights would go on.',
  'chart-mismatch': (f: { chart: string; pump: string }) =>
    `The chart is for pump ${f.chart || '(no code)'}, the pump is ${f.pump || '(no code)'}. A chart serves the pump it was made for and no other.`,
  'chart-kind': (_: object) =>
    'A lift to port closure is one figure of the pump and has no chart: enter that lift and take the points out.',
  'chart-order': (_: object) => 'The lift of the chart must rise all the way, or fall all the way, with the angle.',
  'no-such-step': (f: { step: string }) => `This run sheet has no step "${f.step}".`,
  'no-such-slot': (f: { slot: string; step: string }) => `The step "${f.step}" takes no figure called "${f.slot}".`,
  'takes-no-figure': (f: { step: string }) =>
    `"${f.step}" takes no figure by the way that is chosen. Choose another way, or write it down as a remark.`,
  'no-such-reading': (_: object) => 'That reading is not in this log any more: it was undone. Take the reading again.',
  'step-blocked': (f: { step: string; needs: string }) => `"${f.step}" has to wait. Put it right first: ${f.needs}.`,
  'readings-missing': (f: { step: string; what: string }) =>
    `"${f.step}" has no reading yet: ${f.what}. Log it, or skip the step and say why.`,
  'values-missing': (f: { step: string; what: string }) =>
    `"${f.step}" cannot be worked out, the data sheet lacks: ${f.what}. Enter it with its source, or skip the step and say why.`,
  'not-proved': (f: { step: string; what: string }) => `"${f.step}" is not settled: ${f.what}.`,
  'nothing-open': (f: { step: string }) => `"${f.step}" leaves nothing open now: no reason is needed, mark it done.`,
  'open-otherwise': (f: { step: string; what: string }) =>
    `What "${f.step}" leaves open is another by now: ${f.what}. Look at it, and say why you go on from that.`,
  'count-open': (f: { what: string }) =>
    `The count must come out first, and no reason goes on without it. ${f.what.charAt(0).toUpperCase()}${f.what.slice(1)}.`,
  'never-overrule': (f: { flags: string }) => `This cannot be overruled. Put it right first: ${f.flags}.`,
  'never-while': (f: { never: string; because: string; first: string }) =>
    `${f.never} Why: ${f.because} Put it right first: ${f.first}.`,
  'only-with-reason': (f: { never: string; because: string; first: string }) =>
    `${f.never} Why: ${f.because} Put it right first: ${f.first}. Or go on all the same, and say why.`,
  'say-what-was-seen': (f: { state: string }) =>
    `"${f.state}" is not ticked off. Go and look, then say what was seen and, if it was somebody else, by whom.`,
  'only-by-its-step': (f: { state: string; step: string }) =>
    `"${f.state}" is counted or measured, not said: it comes from "${f.step}".`,
  'says-nothing': (_: object) =>
    'That says nothing to whoever reads it later: say why, or what was seen, in a few words.',
  'job-closed': (f: { step: string }) =>
    `This job is closed and takes remarks only. To write anything else, open \u201c${f.step}\u201d again and say why.`,
  'never-skipped': (f: { step: string; state: string }) =>
    `\u201c${f.step}\u201d is never skipped while people could be hurt. Put it right first: ${f.state}.`,
  'undo-makes-safe': (f: { state: string }) =>
    `Undoing that would say \u201c${f.state}\u201d, and nobody looked. Go and look, then do the step that says so.`,
  'no-such-rule': (_: object) => 'No such rule is raised on this job now.',
  'nothing-to-lift': (_: object) => 'There is nothing in mesh on this job that could be lifted.',
  'not-undoable': (_: object) => 'That was already undone, or is not in this log.',
  'no-such-choice': (f: { what: string }) => `There is no such choice: ${f.what}.`,
  'no-such-gauge': (_: object) => 'That gauge is not in the tray any more: choose another.',
  'out-of-stock': (f: { part: string; item: string }) =>
    `There is no ${f.part} ${f.item} in the tray any more: choose another pick.`,
  'outside-chart': (f: { what: string }) => `${f.what} lies outside the chart.`
} satisfies Record<string, (facts: never) => string>;

export type ErrorCode = keyof typeof sentences;

/** What went wrong: a code from the closed list, a sentence for the bench, and the input at fault. */
export interface CalcError {
  code: ErrorCode;
  message: string;
  path: string;
}
type Facts<C extends ErrorCode> = Parameters<(typeof sentences)[C]>[0];

const round = (x: number, digits: number) => Number(x.toFixed(digits));

/** Builds a refusal from its code, the input at fault and the facts of the case. */
export function fail<C extends ErrorCode>(code: C, path: string, facts: Facts<C>): { ok: false; error: CalcError } {
  const sentence = sentences[code] as (f: Facts<C>) => string;
  return { ok: false, error: { code, message: sentence(facts), path } };
}
