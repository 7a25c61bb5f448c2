<script lang="ts">
  import { page as here } from '$app/state';

  /** Which page of a list this is, with the way to the ones beside it. Nothing when all stands on one. */
  let { of, page, pages }: { of: string; page: number; pages: number } = $props();

  const address = (to: number) => {
    const asked = new URLSearchParams(here.url.searchParams);
    if (to > 1) asked.set('page', String(to));
    else asked.delete('page');
    return asked.size ? `${here.url.pathname}?${asked}` : here.url.pathname;
  };
</script>

{#if pages > 1}
  <nav aria-label="Pages of {of}">
    {#if page > 1}<a class="button" href={address(Math.min(page - 1, pages))}>Page before</a>{/if}
    <span>page {page} of {pages}</span>
    {#if page < pages}<a class="button" href={address(page + 1)}>Next page</a>{/if}
  </nav>
{/if}

<style>
  nav {
    display: flex;
    align-items: center;
    gap: 14px;
    margin-top: 14px;
    color: var(--ink-2);
  }
</style>
