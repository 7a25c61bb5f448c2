import { verdictOpen, VERDICT_WORD as WORD, asks } from '../../job/said.ts';
import type { Domain } from '../../job/domain.ts';
import { CLAMPED } from '../../job/rules.ts';
import { centreU, lastPatch, patchFinding, patchWork } from './patch-work.ts';
import { stackWork } from './stack-work.ts';
import { add, type SettledFigure } from '../../job/figures.ts';
import type { JobState, StepView } from '../../job/state.ts';
import { lengthPm, type LengthText } from '../../job/words.ts';
import type { Works } from '../../job/domain.ts';

/** End float, packing, depth, and the contact on the teeth. */
export const stackDomain: Domain = {
  name: 'stack',
  works: {
    stack: (c) => stackWork(c.engine, c.r),
    patches: (c) => patchWork(c.engine, c.r)
  },
  surfaces: {
    stack: { headline: stackHeadline, open: stackOpen },
    patch: {
      headline: (state, v, len) => {
        const row = lastPatch(state.work.patches);
        return row?.problem ?? (row?.pattern ? patchFinding(row.pattern, len) : null);
      },
      open: patchOpen
    }
  },
  figures: stackFigures,
  interlocks: (c) => (c.sheet.steps.some((s) => s.surface === 'stack') && c.works.stack.clamped ? [CLAMPED] : [])
};

function stackHeadline(state: JobState, v: StepView, len: LengthText): string | null {
  const { stack } = state.work;
  if (stack.clamped && !asks(v, 'length'))
    return `Stop: washer and gaps leave ${len(stack.bare!.floatMm, 3)} of float, the drive would be clamped`;
  if (asks(v, 'float-tight') && stack.lossMm)
    return stack.bottoms
      ? `It bottoms: clamping takes ${len(stack.lossMm.value, 2)} of float away`
      : 'No float is lost by clamping: it does not bottom';
  if (asks(v, 'float-dial') && stack.direct)
    return judged('End float', stack.direct.value, stack.direct.u, stack.direct.verdict?.state, len);
  if (asks(v, 'length')) {
    const e = stack.engagement;
    if (!e) return null;
    if (e.verdict.state !== 'in') return judged('Oil-pump drive engaged', e.engagementMm, e.uMm, e.verdict.state, len);
    if (e.clearanceVerdict && e.clearanceVerdict.state !== 'in')
      return judged('Left before it bottoms', e.clearanceMm!, e.uMm, e.clearanceVerdict.state, len);
    return judged('Oil-pump drive engaged', e.engagementMm, e.uMm, 'in', len);
  }
  if (v.step.takes.includes('packing') || asks(v, 'packing') || asks(v, 'gap')) {
    const { float, bare, packing } = stack;
    if (!bare || !float) return null;
    const what =
      packing.length === 0 ? 'End float without packing' : `End float with ${packing.map((p) => p.name).join(' and ')}`;
    return judged(what, float.mm, float.uMm, float.verdict?.state, len);
  }
  return null;
}

const judged = (what: string, mm: number, u: number, state: keyof typeof WORD | undefined, len: LengthText): string =>
  `${what} ${lengthPm(len, mm, u)}${state ? `: ${WORD[state]}` : ''}`;

function stackOpen(state: JobState, v: StepView): string | null {
  const { stack } = state.work;
  if (v.step.takes.includes('packing')) {
    if (!stack.bare) return 'washer and gaps are not both measured';
    return verdictOpen('the end float with what was taken', stack.float?.verdict?.state);
  }
  if (asks(v, 'float-tight') && stack.bottoms) return 'clamping takes float away: the drive stands on the pump';
  if (asks(v, 'float-dial')) return verdictOpen('the end float', stack.direct?.verdict?.state);
  if (asks(v, 'length')) {
    if (!stack.engagement) return 'length and depth are not both read';
    return (
      verdictOpen('the engagement', stack.engagement.verdict.state) ??
      verdictOpen('the clearance before it bottoms', stack.engagement.clearanceVerdict?.state)
    );
  }
  return null;
}

function patchOpen(state: JobState, v: StepView): string | null {
  const row = lastPatch(state.work.patches);
  if (!row) return 'no contact was read';
  // the reading before a correction may show anything: that is what it is for
  if (!v.step.sets.includes('pattern-read')) return row.problem;
  if (row.problem) return row.problem;
  if (row.pattern?.edgeContact) return 'the contact runs off the edge of the tooth';
  return row.pattern && row.pattern.state !== 'centred' ? `the contact is ${row.pattern.state}` : null;
}

function stackFigures(works: Works): SettledFigure[] {
  const { stack } = works;
  const out: SettledFigure[] = [];
  if (stack.bare)
    out.push(
      add({
        key: 'float-bare',
        label: 'End float, no packing',
        value: stack.bare.floatMm,
        u: stack.bare.uMm,
        kind: 'length',
        verdict: stack.packing.length ? null : stack.bare.verdict.state,
        calc: 'stack.endFloat',
        input: { washerMm: stack.washers.map((w) => w.value), gaps: stack.gaps.map((g) => g.blades) },
        output: stack.bare
      })
    );
  if (stack.float && (stack.float.from !== 'washer' || stack.packingMm))
    out.push(
      add({
        key: 'float',
        label: stack.float.from === 'washer' ? 'End float with packing' : 'End float, read',
        value: stack.float.mm,
        u: stack.float.uMm,
        kind: 'length',
        verdict: stack.float.verdict?.state ?? null,
        calc: 'stack.pick',
        input: { packing: stack.packing.map((p) => p.name) },
        output: stack.float
      })
    );
  if (stack.engagement) {
    const { engagement: e } = stack;
    out.push(
      add({
        key: 'engagement',
        label: 'Oil-pump drive engaged',
        value: e.engagementMm,
        u: e.uMm,
        kind: 'length',
        verdict: e.verdict.state,
        calc: 'stack.engagement',
        input: {},
        output: e
      })
    );
    if (e.clearanceMm !== undefined)
      out.push(
        add({
          key: 'clearance',
          label: 'Left before it bottoms',
          value: e.clearanceMm,
          u: e.uMm,
          kind: 'length',
          verdict: e.clearanceVerdict!.state,
          calc: 'stack.engagement',
          input: {},
          output: e
        })
      );
  }
  const read = lastPatch(works.patches);
  const patch = read?.pattern;
  if (patch)
    out.push(
      add({
        key: 'patch',
        label: patch.deeperMm >= 0 ? 'Contact, below the middle' : 'Contact, above the middle',
        value: Math.abs(patch.deeperMm),
        u: centreU(read!),
        kind: 'length',
        verdict: patch.edgeContact ? 'out' : patch.state === 'centred' ? 'in' : 'unsure',
        calc: 'mesh.pattern',
        input: {},
        output: patch
      })
    );
  return out;
}
