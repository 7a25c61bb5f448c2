<script lang="ts">
  import '@fontsource-variable/encode-sans/standard.css';
  import '$lib/ui/theme/tokens.css';
  import '$lib/ui/theme/base.css';
  import '$lib/ui/theme/drawing.css';
  import { onMount, setContext } from 'svelte';
  import { unsent } from '$lib/ui/unsent/unsent.svelte.ts';
  import UnsentNote from '$lib/ui/unsent/UnsentNote.svelte';

  let { children } = $props();
  setContext('note', UnsentNote);
  onMount(() => {
    document.documentElement.dataset.hydrated = 'yes';
    // what was said on this device is sent from whatever page is open
    return unsent.start();
  });
</script>

{@render children()}
