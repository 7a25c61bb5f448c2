<script lang="ts">
  import { lastPatch } from '$core/domains/stack/patch-work.ts';
  import PlaceParts from '../../instruments/places/PlaceParts.svelte';
  import { drawingOf } from '../../instruments/places/places.ts';
  import StackDrawing from '../../instruments/stack/StackDrawing.svelte';
  import type { PanelProps } from '../props.ts';

  /** How the gear stands between housing, camshaft and oil pump, as far as it is measured. */
  let { session, surface }: PanelProps = $props();
  const work = $derived(session.state.work.stack);
  const patch = $derived(lastPatch(session.state.work.patches)?.pattern ?? null);
  const shape = $derived({
    floatMm: work.float?.mm ?? null,
    packingMm: work.packingMm?.value ?? 0,
    gasketMm: work.kind === 'own-gear' ? (work.gasket?.value ?? 0) : 0,
    engagementMm: work.engagement?.engagementMm ?? null,
    clearanceMm: work.engagement?.clearanceMm ?? null
  });
  const known = $derived(work.float !== null || work.engagement !== null);
  const band = $derived(
    patch && {
      low: Math.max(0, patch.centreFraction - patch.lengthFraction / 2),
      high: Math.min(1, patch.centreFraction + patch.lengthFraction / 2)
    }
  );
</script>

{#if surface === 'stack'}
  <PlaceParts
    drawing={drawingOf('distributor')!}
    names={{ 'distributor.gear': 'gear' }}
    touched={{ 'distributor.gear': undefined }}
    found={new Map()}
    bare
  />
{:else}
  <StackDrawing kind={work.kind} {shape} patch={band} marks={[]} washerIn={false} bare />
  {#if !known}<p class="quiet small">Nothing measured yet: drawn as such a drive stands, not as this one.</p>{/if}
{/if}
