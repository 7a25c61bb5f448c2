<script lang="ts">
  import JudgedRows from '../JudgedRows.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
</script>

<div class="fig">
  <Readings {session} {stepId} {line} {prefs} {onamend} />
  <div><JudgedRows {session} {step} {prefs} /></div>
</div>

<style>
  .fig {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
    gap: 24px;
    align-items: start;
  }
</style>
