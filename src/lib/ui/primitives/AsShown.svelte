<script lang="ts">
  import { page } from '$app/state';

  /** Says with a form whose name stands at the top of the page: it is written under no other. */
  const me = $derived(page.data.person as { id: string } | null);
</script>

<input type="hidden" name="by" value={me?.id ?? ''} />
