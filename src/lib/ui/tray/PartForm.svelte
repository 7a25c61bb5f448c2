<script lang="ts">
  import { enhance } from '$app/forms';
  import { keep } from './keep.ts';
  import { unitsOf, type Unit } from '$core/units/units.ts';

  let { sent, unit }: { sent: Record<string, string>; unit: Unit } = $props();
</script>

<form method="post" action="?/part" use:enhance={keep}>
  <label for="p-name">Name</label><input
    id="p-name"
    name="name"
    class="field"
    required
    maxlength="40"
    value={sent.name ?? ''}
    placeholder="PK-12"
  />
  <label for="p-kind">It is a</label>
  <select id="p-kind" name="kind" class="field" value={sent.kind ?? 'packing'}>
    <option value="packing">packing, under a pedestal</option>
    <option value="shim">shim, on a shaft</option>
    <option value="ring">thrust ring, under a shaft</option>
    <option value="gasket">gasket</option>
  </select>
  <label for="p-thick">Thickness, measured</label><input
    id="p-thick"
    name="thickness"
    class="field"
    required
    value={sent.thickness ?? ''}
    placeholder="0.117"
  />
  <label for="p-u">Known to ± (two u)</label><input
    id="p-u"
    name="u"
    class="field"
    value={sent.u ?? ''}
    placeholder="0.008"
  />
  <label for="p-unit">Unit of these figures</label>
  <select id="p-unit" name="unit" class="field" value={sent.unit ?? unit}
    >{#each unitsOf.length as u (u)}<option value={u}>{u}</option>{/each}</select
  >
  <label for="p-count">Pieces</label><input
    id="p-count"
    name="count"
    type="number"
    min="0"
    max="999"
    class="field"
    required
    value={sent.count ?? '1'}
  />
  <button class="button first">Put them in the tray</button>
</form>
