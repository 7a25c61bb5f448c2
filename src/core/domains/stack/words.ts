import type { StepView } from '../../job/domain.ts';
import type { VerdictState } from '../../calculations/verdict/verdict.ts';
import { judgedBy, lengthLimits, lengthPm, verdictOpen, type LengthText } from '../../job/texts.ts';
import { lastPatch } from './patch-work.ts';
import { asks, numberOf, sets } from './vocabulary.ts';
import type { StackState } from './works.ts';

export function stackHeadline(state: StackState, v: StepView, len: LengthText): string | null {
  const { stack } = state.work;
  const least = (field: 'minEngagementMm' | 'minClearanceMm'): Limits => [numberOf(state.engine, field) ?? null, null];
  if (stack.clamped && !asks(v, 'length'))
    return `Stop: washer and gaps leave ${len(stack.bare!.floatMm, 3)} of float, the drive would be clamped`;
  if (asks(v, 'float-tight') && stack.lossMm)
    return stack.bottoms
      ? `It bottoms: clamping takes ${len(stack.lossMm.value, 2)} of float away`
      : 'No float is lost by clamping: it does not bottom';
  if (asks(v, 'float-dial') && stack.direct) {
    if (stack.apart?.real)
      return `Dial and washer lie ${len(Math.abs(stack.apart.mm), 3)} apart, more than both can err: look for a film, a burr or a leaning dial, then read it again`;
    const { mm, uMm, verdict, from } = stack.float!;
    const by = from === 'both' ? 'End float, by dial and washer together,' : 'End float';
    return judged(by, mm, uMm, verdict?.state, [stack.minMm, stack.maxMm], len);
  }
  if (asks(v, 'length')) {
    const e = stack.engagement;
    if (!e) return null;
    const state = e.verdict?.state;
    if (state !== undefined && state !== 'in')
      return judged('Oil-pump drive engaged', e.engagementMm, e.uMm, state, least('minEngagementMm'), len);
    if (e.clearanceVerdict && e.clearanceVerdict.state !== 'in')
      return judged(
        'Left before it bottoms',
        e.clearanceMm!,
        e.uMm,
        e.clearanceVerdict.state,
        least('minClearanceMm'),
        len
      );
    return judged('Oil-pump drive engaged', e.engagementMm, e.uMm, state, least('minEngagementMm'), len);
  }
  if (v.step.takes.includes('packing') || asks(v, 'packing') || asks(v, 'gap')) {
    const { float, bare, packing } = stack;
    if (!bare || !float) return null;
    const what =
      packing.length === 0 ? 'End float without packing' : `End float with ${packing.map((p) => p.name).join(' and ')}`;
    return judged(what, float.mm, float.uMm, float.verdict?.state, [stack.minMm, stack.maxMm], len);
  }
  return null;
}

type Limits = readonly [min: number | null, max: number | null];

const judged = (
  what: string,
  mm: number,
  u: number,
  state: VerdictState | undefined,
  [min, max]: Limits,
  len: LengthText
): string => `${what} ${lengthPm(len, mm, u)}${state ? `: ${judgedBy(state, lengthLimits(len, min, max))}` : ''}`;

export function stackOpen(state: StackState, v: StepView): string | null {
  const { stack } = state.work;
  if (v.step.takes.includes('packing')) {
    if (!stack.bare) return 'washer and gaps are not both measured';
    return verdictOpen('the end float with what was taken', stack.float?.verdict?.state);
  }
  if (asks(v, 'float-tight') && stack.bottoms) return 'clamping takes float away: the drive stands on the pump';
  if (asks(v, 'float-dial'))
    return stack.apart?.real
      ? 'dial and washer give floats that lie further apart than both can err'
      : verdictOpen('the end float', stack.direct ? stack.float?.verdict?.state : undefined);
  if (asks(v, 'length')) {
    if (!stack.engagement) return 'length and depth are not both read';
    return (
      verdictOpen('the engagement', stack.engagement.verdict?.state) ??
      verdictOpen('the clearance before it bottoms', stack.engagement.clearanceVerdict?.state)
    );
  }
  return null;
}

export function patchOpen(state: StackState, v: StepView): string | null {
  const row = lastPatch(state.work.patches);
  if (!row) return 'no contact was read';
  // the reading before a correction may show anything: that is what it is for
  if (!sets(v, 'pattern-read')) return row.problem;
  if (row.problem) return row.problem;
  if (row.pattern?.edgeContact) return 'the contact runs off the edge of the tooth';
  return row.pattern && row.pattern.state !== 'centred' ? `the contact is ${row.pattern.state}` : null;
}
