<script lang="ts">
  import AsShown from '$lib/ui/primitives/AsShown.svelte';
  import { enhance } from '$app/forms';
  import { gaugeKinds } from '$core/tray/gauge-kinds.ts';
  import { ASSUMED_DOF, assumedScatter } from '$core/tray/hands.ts';
  import { unitsOf } from '$core/units/units.ts';
  import Field from '../primitives/Field.svelte';
  import { keep } from './keep.ts';

  let { sent }: { sent: Record<string, string> } = $props();
  type Kind = keyof typeof gaugeKinds;
  // svelte-ignore state_referenced_locally
  let kind = $state<Kind>(sent.kind && sent.kind in gaugeKinds ? (sent.kind as Kind) : 'wheel');
  const units = $derived(unitsOf[gaugeKinds[kind].quantity]);
  const kinds = Object.entries(gaugeKinds).map(([id, k]) => [id, k.label] as const);
</script>

<form method="post" action="?/gauge" use:enhance={keep}>
  <AsShown />
  <Field label="Name" name="name" required maxlength={80} value={sent.name} />
  <Field label="Kind" name="kind" options={kinds} bind:value={kind} />
  <Field label="Smallest step it shows" name="resolution" value={sent.resolution} placeholder="0.5" />
  <Field label="Accuracy ±, as stated" name="accuracy" required value={sent.accuracy} placeholder="0.25" />
  {#if kind === 'dial'}<Field label="One turn of the pointer" name="perRev" value={sent.perRev} placeholder="1" />{/if}
  {#if units.length > 1}
    {#key kind}<Field
        label="Unit of these figures"
        name="unit"
        options={units.map((u) => [u, u] as const)}
        value={sent.unit && (units as readonly string[]).includes(sent.unit) ? sent.unit : units[0]}
      />{/key}
  {:else}<input type="hidden" name="unit" value={units[0]} />{/if}
  <Field
    label="Scatter of one reading"
    hint="(a standard deviation; may stay open)"
    name="scatter"
    value={sent.scatter}
    placeholder={String(assumedScatter[kind])}
  />
  <Field label="Found from so many repeats" name="repeats" inputmode="numeric" value={sent.repeats} placeholder="10" />
  <p class="small quiet">
    Left open, the workshop’s assumption for its kind counts: {assumedScatter[kind]}
    {units[0]}, with the weight of {ASSUMED_DOF + 1} repeats.
  </p>
  <Field label="Calibrated on" name="calibrated" type="date" value={sent.calibrated} />
  <button class="button first">Add to the tray</button>
</form>
