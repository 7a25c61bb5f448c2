<script lang="ts">
  import JudgedRows from '../JudgedRows.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const { stop } = $derived(session.state.work.flywheel);
</script>

<div class="fig">
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if stop.degPerTurn !== null}<p class="small quiet">
        A turn of the screw moves it {Math.abs(stop.degPerTurn).toFixed(2)}° of the crank {stop.degPerTurn > 0
          ? 'earlier'
          : 'later'}.
      </p>{/if}
  </div>
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
