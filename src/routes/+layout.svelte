<script lang="ts">
  import '@fontsource-variable/encode-sans/standard.css';
  import '$lib/ui/theme/tokens.css';
  import '$lib/ui/theme/base.css';
  import '$lib/ui/theme/drawing.css';
  import { onMount } from 'svelte';
  let { children } = $props();
  onMount(() => {
    document.documentElement.dataset.hydrated = 'yes';
  });
</script>

{@render children()}
