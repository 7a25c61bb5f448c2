<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { curveThumb } from '$core/domains/recurve/curve-thumb.ts';
  import Budget from './Budget.svelte';
  import CurveChart from '../../curves/CurveChart.svelte';
  import { picture } from '../../../reader/curve-picture.ts';
  import { TargetHand } from '../../curves/target.svelte.ts';
  import TargetTable from '../../curves/TargetTable.svelte';

  let { session, stepId }: SurfaceProps = $props();
  const w = $derived(session.state.work.recurve);
  const sweep = $derived(session.state.work.sweeps[0] ?? null);
  const hand = new TargetHand(() => session.state.work.recurve.target);
  const pic = $derived(picture(session.engine, sweep, { target: hand.points.map((p) => ({ x: p.rpm, y: p.deg })) }));
  const says = $derived(session.state.replayed.chosen);
  const thumb = $derived(curveThumb(says));

  function keep() {
    const refused = session.say({ kind: 'target', step: stepId, points: hand.points });
    if (!refused) hand.drop();
  }
</script>

{#if ['load', 'fuel', 'use'].some((q) => says.has(q))}<p class="thumb">
    {thumb.because.charAt(0).toUpperCase() + thumb.because.slice(1)}. {thumb.advice} The limits stay the data sheet’s.
  </p>{/if}
<div class="beside" style="--second: 0.7fr">
  <CurveChart
    picture={pic}
    label="Target over the measured curve; its points stand in the table beside"
    height={340}
    ontarget={(k, d) => hand.set(k, d)}
  />
  <TargetTable {hand} from={w.targetFrom} onkeep={keep} />
</div>
<Budget budget={session.state.work.budget} />

<style>
  .beside > :global(*) {
    min-width: 0;
  }
  .thumb {
    margin: 4px 0 10px;
    color: var(--ink-2);
  }
</style>
