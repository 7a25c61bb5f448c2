<script lang="ts">
  import AsShown from '$lib/ui/primitives/AsShown.svelte';
  import { enhance } from '$app/forms';
  import { unitsOf, type Unit } from '$core/units/units.ts';
  import Field from '../primitives/Field.svelte';
  import { keep } from './keep.ts';

  let { sent, unit }: { sent: Record<string, string>; unit: Unit } = $props();
  const kinds = [
    ['packing', 'packing, under a pedestal'],
    ['shim', 'shim, on a shaft'],
    ['ring', 'thrust ring, under a shaft'],
    ['gasket', 'gasket']
  ] as const;
</script>

<form method="post" action="?/part" use:enhance={keep}>
  <AsShown />
  <Field label="Name" name="name" required maxlength={40} value={sent.name} placeholder="PK-12" />
  <Field label="It is a" name="kind" options={kinds} value={sent.kind ?? 'packing'} />
  <Field label="Thickness, measured" name="thickness" required value={sent.thickness} placeholder="0.117" />
  <Field label="Known to ± (two u)" name="u" value={sent.u} placeholder="0.008" />
  <Field
    label="Unit of these figures"
    name="unit"
    options={unitsOf.length.map((u) => [u, u] as const)}
    value={sent.unit ?? unit}
  />
  <Field label="Pieces" name="count" type="number" min="0" max="999" required value={sent.count ?? '1'} />
  <button class="button first">Put them in the tray</button>
</form>
