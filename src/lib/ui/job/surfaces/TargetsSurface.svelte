<script lang="ts">
  import type { Reading } from '$core/job/replay.ts';
  import type { Prefs } from '$lib/prefs.ts';
  import CurveChart from '../../curves/CurveChart.svelte';
  import { picture } from '../../curves/curve-series.ts';
  import { TargetHand } from '../../curves/target.svelte.ts';
  import TargetTable from '../../curves/TargetTable.svelte';
  import type { JobSession } from '../session.svelte.ts';

  let { session, stepId }: { session: JobSession; stepId: string; prefs: Prefs; onamend: (r: Reading) => void } =
    $props();
  const w = $derived(session.state.work.recurve);
  const sweep = $derived(session.state.work.sweeps[0] ?? null);
  const hand = new TargetHand(() => session.state.work.recurve.target);
  const pic = $derived(picture(session.engine, sweep, { target: hand.points.map((p) => ({ x: p.rpm, y: p.deg })) }));
  const says = $derived(session.state.replayed.chosen);
  /** rule of thumb, and named as one: what load, fuel and use speak for */
  const thumb = $derived.by(() => {
    const slow = [says.get('load') === 'heavy' && 'heavy loads', says.get('fuel') === 'poor' && 'poor fuel'].filter(
      Boolean
    );
    const fast = [
      says.get('load') === 'light' && 'light loads',
      says.get('use') === 'changing' && 'changing speeds'
    ].filter(Boolean);
    if (slow.length)
      return `Rule of thumb: ${slow.join(' and ')} speak for beginning slow, and for less total until a load test allows more.`;
    if (fast.length)
      return `Rule of thumb: ${fast.join(' and ')} let the advance come early, as long as idle stays below its start.`;
    return says.size ? 'Rule of thumb: take the middle, and let a load test decide.' : '';
  });

  function keep() {
    const refused = session.say({ kind: 'target', step: stepId, points: hand.points });
    if (!refused) hand.drop();
  }
</script>

{#if thumb}<p class="thumb">{thumb} The limits stay the data sheet’s.</p>{/if}
<div class="beside" style="--second: 0.7fr">
  <CurveChart
    picture={pic}
    label="Target over the measured curve; its points stand in the table beside"
    height={340}
    ontarget={(k, d) => hand.set(k, d)}
  />
  <TargetTable {hand} from={w.targetFrom} onkeep={keep} />
</div>

<style>
  .beside > :global(*) {
    min-width: 0;
  }
  .thumb {
    margin: 4px 0 10px;
    color: var(--ink-2);
  }
</style>
