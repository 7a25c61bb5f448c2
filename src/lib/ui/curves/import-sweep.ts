import type { CurveTable } from '$core/calculations/curve/curve-table.ts';
import type { Draft, JobSession } from '../job/session.svelte.ts';
import { sayAll } from './say-all.ts';
import type { Refused } from '../unsent/waiting.ts';

/**
 * Writes the points of a file into a step as if they had been typed, speed and timing after one another: all of them, or
 * none. Answers the refusal when they are not taken.
 */
export function importSweep(
  session: JobSession,
  stepId: string,
  table: CurveTable,
  scale: 'engine' | 'distributor',
  gaugeId: string | null
): Promise<Refused | null> {
  const step = session.sheet.steps.find((s) => s.id === stepId)!;
  const asks = step.choices.some((c) => c.id === 'sweep-scale');
  // where the step does not ask whose degrees are read, a file of the distributor's is doubled as it comes in
  const factor = scale === 'distributor' && !asks ? 2 : 1;
  // a file does not say what its speeds were read with: the only tachometer there is, or none
  const tachos = session.gaugesOf(step.slots.find((s) => s.slot === 'sweep-rpm')?.gauge ?? 'tacho');
  const tacho = tachos.length === 1 ? tachos[0]!.id : null;
  const drafts: Draft[] = [];
  if (asks)
    drafts.push({ kind: 'choose', school: 'sweep-scale', option: scale === 'distributor' ? 'bench' : 'engine' });
  // the way a point was read follows from the speed before it: where a file names it, the speeds are put in that order
  const up = table.points.filter((p) => p.dir !== 'down');
  const down = table.points.filter((p) => p.dir === 'down').sort((a, b) => b.rpm - a.rpm);
  const ordered = [...(up.every((p) => p.dir === 'up') ? up.sort((a, b) => a.rpm - b.rpm) : up), ...down];
  for (const p of ordered) {
    const figures: ['sweep-rpm' | 'sweep-deg', 'speed' | 'timing', string, string][] = [
      ['sweep-rpm', 'speed', String(p.rpm * factor), 'rpm'],
      ['sweep-deg', 'timing', `${Math.abs(p.deg * factor)}${p.deg < 0 ? 'a' : 'b'}`, 'deg']
    ];
    for (const [slot, quantity, text, defaultUnit] of figures) {
      const gauge = slot === 'sweep-deg' ? gaugeId : tacho;
      drafts.push({ kind: 'reading', step: stepId, slot, quantity, text, defaultUnit, gaugeId: gauge });
    }
  }
  return sayAll(session, drafts);
}
