<script lang="ts">
  import FuelWay from '../../instruments/pump/FuelWay.svelte';
  import type { PanelProps } from '../props.ts';

  /** How far the fuel has come. */
  let { session }: PanelProps = $props();
  const way = $derived(session.state.work.fuelWay);
</script>

<FuelWay {way} small />
<p><b>{Math.round(100 * way.filled)} %</b> of the fuel’s way is bled.</p>
