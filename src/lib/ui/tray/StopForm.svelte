<script lang="ts">
  import AsShown from '$lib/ui/primitives/AsShown.svelte';
  import { enhance } from '$app/forms';
  import Field from '../primitives/Field.svelte';
  import { keep } from './keep.ts';

  let { sent }: { sent: Record<string, string> } = $props();
  const scales = [
    ['crank', 'crank'],
    ['distributor', 'distributor: doubled for the crank']
  ] as const;
</script>

<form method="post" action="?/stop" use:enhance={keep}>
  <AsShown />
  <Field label="Name" name="name" required maxlength={40} value={sent.name} placeholder="stop 10" />
  <Field label="Advance it allows, degrees" name="deg" required inputmode="decimal" value={sent.deg} placeholder="20" />
  <Field label="These are degrees of the" name="scale" options={scales} value={sent.scale ?? 'crank'} />
  <Field label="Stops like it" name="count" type="number" min="0" max="999" required value={sent.count ?? '1'} />
  <button class="button first">Add to the tray</button>
</form>
