<script lang="ts">
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
<p class="note">
  Paper under every joint, never a hand. A joint is tightened only on a stopped engine; then look again and type what is
  left.
</p>
