import type { SettledFigure } from '../../job/settled.ts';
import { settled } from './figures.ts';
import { centreU, lastPatch } from './patch-work.ts';
import { numberOf } from './vocabulary.ts';
import type { StackState } from './works.ts';

/** What measuring the drive settles: its float, its depth, the contact on its teeth. */
export function settle(state: StackState): SettledFigure[] {
  const { stack, patches } = state.work;
  const out: SettledFigure[] = [];
  const of = (name: 'floatMinMm' | 'floatMaxMm' | 'minEngagementMm' | 'minClearanceMm') =>
    numberOf(state.engine, name) ?? null;
  const limits = { min: of('floatMinMm'), max: of('floatMaxMm') };
  if (stack.bare)
    out.push(
      settled('float-bare', {
        value: stack.bare.floatMm,
        u: stack.bare.uMm,
        verdict: stack.packing.length ? null : (stack.bare.verdict?.state ?? null),
        // bare, with a packing yet to come, it is not judged at all
        ...(stack.packing.length ? {} : { limits }),
        calc: 'stack.endFloat',
        input: { washerMm: stack.washers.map((w) => w.value), gaps: stack.gaps.map((g) => g.blades) },
        output: stack.bare
      })
    );
  if (stack.float && (stack.float.from !== 'washer' || stack.packingMm))
    out.push(
      settled('float', {
        ...(stack.float.from === 'washer' ? { label: 'End float with packing' } : {}),
        value: stack.float.mm,
        u: stack.float.uMm,
        verdict: stack.float.verdict?.state ?? null,
        limits,
        calc: 'stack.pick',
        input: { packing: stack.packing.map((p) => p.name) },
        output: stack.float
      })
    );
  const { engagement: e } = stack;
  if (e) {
    const shared = { u: e.uMm, calc: 'stack.engagement', output: e };
    out.push(
      settled('engagement', {
        ...shared,
        value: e.engagementMm,
        verdict: e.verdict?.state ?? null,
        limits: { min: of('minEngagementMm'), max: null }
      })
    );
    if (e.clearanceMm !== undefined)
      out.push(
        settled('clearance', {
          ...shared,
          value: e.clearanceMm,
          verdict: e.clearanceVerdict!.state,
          limits: { min: of('minClearanceMm'), max: null }
        })
      );
  }
  const read = lastPatch(patches);
  const patch = read?.pattern;
  if (patch)
    out.push(
      settled('patch', {
        label: patch.deeperMm >= 0 ? 'Contact, below the middle' : 'Contact, above the middle',
        value: Math.abs(patch.deeperMm),
        u: centreU(read!),
        limits: 'a tenth of the tooth from its middle',
        verdict: patch.edgeContact ? 'out' : patch.state === 'centred' ? 'in' : 'unsure',
        calc: 'mesh.pattern',
        output: patch
      })
    );
  return out;
}
