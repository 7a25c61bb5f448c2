<script lang="ts">
  import JobScreen from '$lib/ui/job-view/JobScreen.svelte';

  let { data } = $props();
</script>

{#key data.job.id}<JobScreen {data} />{/key}
