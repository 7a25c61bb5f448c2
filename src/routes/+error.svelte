<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Nemrik</title></svelte:head>
<main id="main">
  <a class="mark" href="/">NEMRIK</a>
  <h1>{page.error?.message ?? 'Something went wrong'}</h1>
  <p class="quiet">
    {#if page.status === 503}Nothing that was logged is lost. This page can be asked for again.{:else if page.status === 404}Look
      for it on the floor or among the engines.{/if}
  </p>
  <p class="ways">
    <button class="button first" onclick={() => location.reload()}>Try again</button>
    <a class="button" href="/">To the floor</a>
  </p>
</main>

<style>
  main {
    max-width: 620px;
    padding: 12px 24px;
  }
  .mark {
    font-stretch: 80%;
    font-weight: 750;
    font-size: var(--t5);
    letter-spacing: 0.06em;
    text-decoration: none;
  }
  h1 {
    margin: 60px 0 8px;
  }
  .ways {
    display: flex;
    gap: 12px;
    margin-top: 20px;
  }
</style>
