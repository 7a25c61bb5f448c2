import type { SettledFigure } from '../figures.ts';
import type { JobState } from '../state.ts';
import { lastPatch } from './drive-words.ts';

/** The drive's figures as they stand on the card and in the trends: each with what it was worked out from. */
export function driveFigures(state: JobState): SettledFigure[] {
  const { stack, rings, tooth } = state.drive;
  const out: SettledFigure[] = [];
  const add = (f: Omit<SettledFigure, 'verdict' | 'u'> & Partial<SettledFigure>) =>
    out.push({ u: null, verdict: null, ...f });
  if (stack.bare)
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
    });
  if (stack.float && (stack.float.from !== 'washer' || stack.packingMm))
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
    });
  if (stack.engagement) {
    const { engagement: e } = stack;
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
    });
    if (e.clearanceMm !== undefined)
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
      });
  }
  const patch = lastPatch(state)?.pattern;
  if (patch)
    add({
      key: 'patch',
      label: patch.deeperMm >= 0 ? 'Contact, below the middle' : 'Contact, above the middle',
      value: Math.abs(patch.deeperMm),
      kind: 'length',
      verdict: patch.edgeContact ? 'out' : patch.state === 'centred' ? 'in' : 'unsure',
      calc: 'mesh.pattern',
      input: {},
      output: patch
    });
  if (rings.height)
    add({
      key: 'shaft-height',
      label: 'Drive shaft height',
      value: rings.height.mm,
      u: rings.height.uMm,
      kind: 'length',
      verdict: rings.height.verdict?.state ?? null,
      calc: 'stack.pick',
      input: { rings: rings.rings.map((p) => p.name) },
      output: rings.height
    });
  if (tooth.index?.best)
    add({
      key: 'tooth',
      label: 'Room to turn the housing, least side',
      value: tooth.index.best.score,
      kind: 'crank',
      calc: 'drive.index',
      input: { arc: tooth.arc, observed: tooth.observed?.bearingDeg },
      output: tooth.index.best
    });
  return out;
}
