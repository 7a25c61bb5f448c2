<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import Sweep from './Sweep.svelte';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
</script>

<Sweep {session} {stepId} {prefs} {onamend} />
