<script lang="ts">
  import { lengthText } from '../../../reader/units.ts';
  import PumpSection from '../../instruments/pump/PumpSection.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const len = $derived(lengthText(prefs));
  const chart = $derived(session.state.work.liftChart);
  const last = $derived(Object.values(session.state.work.lifts).findLast((w) => w.lift) ?? null);
  const dial = $derived(session.gaugesOf('dial').find((g) => g.perRevMm !== null));
  const slots = $derived(session.sheet.steps.find((s) => s.id === stepId)!.slots.length);
</script>

<div class="drawn">
  <PumpSection
    points={chart.points}
    liftMm={last?.lift?.mm ?? null}
    wantedMm={chart.target?.liftMm ?? null}
    perRevMm={dial?.perRevMm ?? 1}
    text={(mm) => len(mm, 2)}
  />
  {#if slots}<Readings {session} {stepId} {line} {prefs} {onamend} />{/if}
</div>
