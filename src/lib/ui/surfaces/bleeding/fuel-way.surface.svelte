<script lang="ts">
  import FuelWay from '../../instruments/pump/FuelWay.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const way = $derived(session.state.work.fuelWay);
</script>

<FuelWay {way} />
<Readings {session} {stepId} {line} {prefs} {onamend} />
<p class="note">Never a hand near a spraying line: shield it, stand aside, look for wet with paper.</p>
