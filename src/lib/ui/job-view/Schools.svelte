<script lang="ts">
  import type { SchoolId } from '$core/domains/list.ts';
  import SchoolList from '../job/SchoolList.svelte';
  import type { JobSession } from '../job/session.svelte.ts';

  let { session, id }: { session: JobSession; id: SchoolId } = $props();
</script>

<SchoolList {session} {id}>
  {#snippet row(o)}
    <b>{o.name}</b>
    <span>{o.gives} {o.costs}</span>
    <span class="quiet">{o.preferWhen}</span>
  {/snippet}
</SchoolList>
