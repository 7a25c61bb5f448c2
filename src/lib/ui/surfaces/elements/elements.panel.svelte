<script lang="ts">
  import PlaceParts from '../../instruments/places/PlaceParts.svelte';
  import { drawingOf } from '../../instruments/places/places.ts';
  import ElementsCircle from '../../instruments/pump/ElementsCircle.svelte';
  import type { PanelProps } from '../props.ts';

  /** Where the elements close, by the last round that was begun. */
  let { session, surface }: PanelProps = $props();
  const rounds = $derived(session.sheet.steps.filter((s) => session.state.work.elements[s.id]));
  const step = $derived(
    rounds.findLast((s) => session.state.work.elements[s.id]!.rows.some((r) => r.reading)) ?? rounds[0]
  );
  const w = $derived(step && session.state.work.elements[step.id]!);
  const read = $derived(w?.rows.filter((r) => r.reading).length ?? 0);
</script>

{#if surface === 'elements'}
  <PlaceParts
    drawing={drawingOf('pump')!}
    names={{ 'pump.elements': 'elements' }}
    touched={{ 'pump.elements': 'where each closes' }}
    found={new Map()}
    bare
  />
{:else if w}
  <ElementsCircle rows={w.rows} withinDeg={w.withinDeg} />
  <p class="quiet small">
    {read === 0
      ? 'No element read yet: where each should close'
      : `${step!.title}: ${read} of ${w.rows.length}`}{w.withinDeg === null ? '' : `, each within ± ${w.withinDeg}°`}
  </p>
{/if}
