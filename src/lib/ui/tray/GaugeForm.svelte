<script lang="ts">
  import { enhance } from '$app/forms';
  import { keep } from './keep.ts';
  import { gaugeKinds } from '$core/tray/gauge-kinds.ts';
  import { unitsOf } from '$core/units/units.ts';

  let { sent }: { sent: Record<string, string> } = $props();
  let kind = $state<keyof typeof gaugeKinds>('wheel');
  const quantity = $derived(gaugeKinds[kind].quantity);
  const kinds = Object.entries(gaugeKinds) as [keyof typeof gaugeKinds, (typeof gaugeKinds)['wheel']][];
</script>

<form method="post" action="?/gauge" use:enhance={keep}>
  <label for="g-name">Name</label><input
    id="g-name"
    name="name"
    class="field"
    required
    maxlength="80"
    value={sent.name ?? ''}
  />
  <label for="g-kind">Kind</label>
  <select id="g-kind" name="kind" class="field" bind:value={kind}
    >{#each kinds as [id, k] (id)}<option value={id}>{k.label}</option>{/each}</select
  >
  <label for="g-step">Smallest step it shows</label><input
    id="g-step"
    name="resolution"
    class="field"
    value={sent.resolution ?? ''}
    placeholder="0.5"
  />
  <label for="g-acc">Accuracy ±, as stated</label><input
    id="g-acc"
    name="accuracy"
    class="field"
    required
    value={sent.accuracy ?? ''}
    placeholder="0.25"
  />
  {#if kind === 'dial'}<label for="g-rev">One turn of the pointer</label><input
      id="g-rev"
      name="perRev"
      class="field"
      value={sent.perRev ?? ''}
      placeholder="1"
    />{/if}
  {#if unitsOf[quantity].length > 1}
    <label for="g-unit">Unit of these figures</label>
    <select id="g-unit" name="unit" class="field"
      >{#each unitsOf[quantity] as u (u)}<option value={u}>{u}</option>{/each}</select
    >
  {:else}<input type="hidden" name="unit" value={unitsOf[quantity][0]} />{/if}
  <label for="g-cal">Calibrated on</label><input id="g-cal" name="calibrated" type="date" class="field" />
  <button class="button first">Put it in the tray</button>
</form>
