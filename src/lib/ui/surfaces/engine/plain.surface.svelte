<script lang="ts">
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
