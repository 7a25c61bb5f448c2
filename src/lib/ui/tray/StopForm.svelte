<script lang="ts">
  import { enhance } from '$app/forms';
  import { keep } from './keep.ts';

  let { sent }: { sent: Record<string, string> } = $props();
</script>

<form method="post" action="?/stop" use:enhance={keep}>
  <label for="t-name">Name</label><input
    id="t-name"
    name="name"
    class="field"
    required
    maxlength="40"
    value={sent.name ?? ''}
    placeholder="stop 10"
  />
  <label for="t-deg">Advance it allows, degrees</label><input
    id="t-deg"
    name="deg"
    class="field"
    required
    inputmode="decimal"
    value={sent.deg ?? ''}
    placeholder="20"
  />
  <label for="t-scale">These are degrees of the</label>
  <select id="t-scale" name="scale" class="field" value={sent.scale ?? 'crank'}>
    <option value="crank">crank</option>
    <option value="distributor">distributor: doubled for the crank</option>
  </select>
  <label for="t-count">Stops like it</label><input
    id="t-count"
    name="count"
    type="number"
    min="0"
    max="999"
    class="field"
    required
    value={sent.count ?? '1'}
  />
  <button class="button first">Put it in the tray</button>
</form>
