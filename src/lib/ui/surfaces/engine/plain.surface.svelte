<script lang="ts">
  import type { Act } from '$core/job/acts.ts';
  import { choiceOf, numberOf } from '$core/engine/engine.ts';
  import EngineAbove from '../../instruments/engine/EngineAbove.svelte';
  import { stationOf } from '../../instruments/engine/stations.ts';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  /** where a count is the work, it stands above the place */
  const counts = $derived(step.slots.some((s) => s.countsBack));
  const flags = $derived(session.sheet.words.flags);
  /** what must be so when the step is done, place by place: what it sets, takes away, and wants gone */
  const touched = $derived.by(() => {
    const out = new Map<string, string[]>();
    const add = (flag: string, words: string) => {
      const at = stationOf(flag);
      if (at && !out.get(at.id)?.includes(words)) out.set(at.id, [...(out.get(at.id) ?? []), words]);
    };
    for (const f of step.sets) add(f, flags[f]!.on);
    for (const f of [...step.clears, ...step.mustBeOff]) add(f, flags[f]!.off);
    for (const [part, words] of Object.entries(step.handles)) if (words) out.set(part.split('.')[1]!, [words]);
    for (const a of step.acts) {
      const deed = DEEDS[a];
      if (deed && !out.has(deed[0])) out.set(deed[0], [deed[1]]);
    }
    return out;
  });
  /** a deed that leaves no state behind is shown where it is done */
  const DEEDS: Partial<Record<Act, [station: string, words: string]>> = {
    'turns-crank': ['crank', 'turned by hand'],
    'touches-leads': ['leads', 'taken in hand'],
    'fits-gear': ['front', 'gear pressed on'],
    'cranks-by-power': ['switch', 'cranked in short bursts'],
    loads: ['switch', 'running, under load']
  };
  const UNITS: Record<string, string> = { pump: 'injection pump', magneto: 'magneto', flywheel: 'triggers' };
  const unit = $derived(UNITS[choiceOf(session.engine, 'firedBy') ?? ''] ?? 'distributor');
</script>

{#snippet readings()}<Readings {session} {stepId} {line} {prefs} {onamend} />{/snippet}
{#if counts}{@render readings()}{/if}
{#if touched.size && session.sheet.place !== 'bench'}
  <EngineAbove {touched} cylinders={numberOf(session.engine, 'cylinders') ?? 4} {unit} />
{/if}
{#if !counts}{@render readings()}{/if}
