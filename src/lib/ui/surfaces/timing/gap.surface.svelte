<script lang="ts">
  import JudgedRows from '../JudgedRows.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const w = $derived(session.state.work.gap);
</script>

<div class="fig">
  <Readings {session} {stepId} {line} {prefs} {onamend} />
  <div>
    <JudgedRows {session} {step} {prefs} />
    {#if w.pct !== null}<p class="note">The dwell is {w.pct.toFixed(0)} % of a cylinder’s share of the turn.</p>{/if}
    {#if w.shift}<p>
        {w.shift.fromDeg}° to {w.shift.toDeg}° moves the timing {Math.abs(w.shift.timingShiftDeg).toFixed(1)}° {w.shift
          .timingShiftDeg > 0
          ? 'earlier'
          : 'later'}.
      </p>{/if}
  </div>
</div>
<p class="note">
  A wider gap opens sooner and fires earlier, with less dwell; a narrower one later, with more. Set it before the
  timing.
</p>

<style>
  .fig {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
    gap: 24px;
    align-items: start;
  }
</style>
