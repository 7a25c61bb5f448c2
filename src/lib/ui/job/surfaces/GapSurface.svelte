<script lang="ts">
  import type { Reading } from '$core/job/replay.ts';
  import { lengthLimits, plusMinus } from '$core/job/words.ts';
  import type { Prefs } from '$lib/prefs.ts';
  import Verdict from '../../primitives/Verdict.svelte';
  import { lengthText } from '../../units.ts';
  import type { ReadingLine } from '../line.svelte.ts';
  import type { JobSession } from '../session.svelte.ts';
  import Readings from './Readings.svelte';

  interface Props {
    session: JobSession;
    stepId: string;
    line: ReadingLine;
    prefs: Prefs;
    onamend: (r: Reading) => void;
  }
  let { session, stepId, line, prefs, onamend }: Props = $props();
  const w = $derived(session.state.work.gap);
  const len = $derived(lengthText(prefs));
  const limits = (min: number | null, max: number | null) =>
    min === null && max === null ? 'no limit on the data sheet' : `${min ?? '…'} to ${max ?? '…'}°`;
</script>

<div class="fig">
  <Readings {session} {stepId} {line} {prefs} {onamend} />
  <dl>
    {#if w.gap}
      <dt>Gap</dt>
      <dd>
        {len(w.gap.value, 2)} ± {len(2 * w.gap.u, 2)}
        {#if w.gap.verdict}<Verdict state={w.gap.verdict.state} size={14} />{/if}
      </dd>
      <dt></dt>
      <dd class="quiet">{lengthLimits(len, w.gap.min, w.gap.max)}</dd>
    {/if}
    {#if w.dwell}
      <dt>Dwell</dt>
      <dd>
        {w.dwell.value.toFixed(1)}° {plusMinus(w.dwell.u, 1)}°{w.dwell.pct === null
          ? ''
          : `, ${w.dwell.pct.toFixed(0)} %`}
        {#if w.dwell.verdict}<Verdict state={w.dwell.verdict.state} size={14} />{/if}
      </dd>
      <dt></dt>
      <dd class="quiet">{limits(w.dwell.min, w.dwell.max)}</dd>
    {/if}
    {#if w.shift}
      <dt>{w.shift.fromDeg}° to {w.shift.toDeg}° moves the timing</dt>
      <dd>{Math.abs(w.shift.timingShiftDeg).toFixed(1)}° {w.shift.timingShiftDeg > 0 ? 'earlier' : 'later'}</dd>
    {/if}
  </dl>
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
  dl {
    display: grid;
    grid-template-columns: 1fr auto;
  }
  dt,
  dd {
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
  }
  dt {
    color: var(--ink-2);
  }
  dd {
    font-weight: 620;
    text-align: right;
  }
  .quiet {
    font-weight: 400;
  }
</style>
