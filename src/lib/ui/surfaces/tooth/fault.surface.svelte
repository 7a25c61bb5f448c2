<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import Tooth from './tooth.surface.svelte';

  let given: SurfaceProps = $props();
</script>

<!-- whether the shaft is at fault shows on the same drawing: the tooth it has, and the free arc -->
<Tooth {...given} />
