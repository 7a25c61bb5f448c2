<script lang="ts">
  import AsShown from '$lib/ui/primitives/AsShown.svelte';
  import { enhance } from '$app/forms';
  import Field from '../primitives/Field.svelte';
  import { keep } from './keep.ts';
  import { springRate } from '$core/calculations/spring/spring-rate.ts';
  import { toBase, unitsOf, type Unit } from '$core/units/units.ts';

  let { sent, unit: first }: { sent: Record<string, string>; unit: Unit } = $props();
  // svelte-ignore state_referenced_locally
  let unit = $state<string>(sent.unit ?? first);
  // as many rows as were sent: a refused form gives all of them back
  // svelte-ignore state_referenced_locally
  const sentRows = Object.keys(sent).filter((k) => k.startsWith('mass-')).length;
  let rows = $state(
    Array.from({ length: Math.max(3, sentRows) }, (_, k) => k).map((k) => ({
      mass: sent[`mass-${k}`] ?? '',
      length: sent[`length-${k}`] ?? ''
    }))
  );
  // svelte-ignore state_referenced_locally
  let installed = $state(sent.installed ?? '');
  const number = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
  const mm = (text: string) => toBase(number(text), unit as Unit);
  /** the rating as it will be, while it is typed: the server works it out again */
  const rated = $derived.by(() => {
    const loads = rows
      .map((r) => ({ massG: number(r.mass), lengthMm: mm(r.length) }))
      .filter((l) => l.massG > 0 && l.lengthMm > 0);
    const at = mm(installed);
    if (loads.length < 2) return null;
    const out = springRate({ loads, ...(at > 0 ? { installedLengthMm: at } : {}) });
    return out.ok ? out.out : null;
  });
</script>

<form method="post" action="?/spring" use:enhance={keep}>
  <AsShown />
  <Field label="Name" name="name" required maxlength={40} value={sent.name} placeholder="S-08" />
  <p class="small quiet">Hang known weights on it and measure the length each time, two at least, three better.</p>
  <div class="loads">
    <span class="small">weight, g</span><span class="small">length, {unit}</span>
    {#each rows as r, k (k)}
      <input class="field" name="mass-{k}" aria-label="Weight {k + 1}, grams" inputmode="decimal" bind:value={r.mass} />
      <input
        class="field"
        name="length-{k}"
        aria-label="Length under weight {k + 1}"
        inputmode="decimal"
        bind:value={r.length}
      />
    {/each}
  </div>
  <button type="button" class="link" onclick={() => rows.push({ mass: '', length: '' })}>one more weight</button>
  <Field
    label="Length at rest in the distributor"
    name="installed"
    required
    inputmode="decimal"
    bind:value={installed}
  />
  <Field
    label="Unit of the lengths"
    name="unit"
    options={unitsOf.length.map((u) => [u, u] as const)}
    bind:value={unit}
  />
  <Field label="Springs like it" name="count" type="number" min="0" max="999" required value={sent.count ?? '1'} />
  {#if rated}
    <p role="status" data-testid="rated">
      <b>{rated.rateNPerMm.toFixed(3)} N/mm</b>
      {rated.uRate === null
        ? '± not known: through two weights a line goes whatever they are; hang a third'
        : `± ${(2 * rated.uRate).toFixed(3)}`}{#if rated.installedForceN !== undefined}, holds
        <b>{rated.installedForceN.toFixed(3)} N</b>
        {rated.uInstalledForceN == null ? '' : `± ${(2 * rated.uInstalledForceN).toFixed(3)}`} at rest{rated.installedForceN <
        0
          ? ': slack, its loop has play'
          : ''}{/if}
    </p>
  {/if}
  <button class="button first">Add to the tray, rated</button>
</form>

<style>
  .loads {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4px 8px;
  }
</style>
