<script lang="ts">
  import { page } from '$app/state';
  import Lazy from './Lazy.svelte';

  /** opened or closed by hand; until then it is open while nobody has said who works here */
  let asked = $state<boolean | null>(null);
  const me = $derived(page.data.person as { name: string } | null);
  const open = $derived(asked ?? (!me && !!page.data.people));
</script>

<div class="who">
  <button class="me" aria-expanded={open} aria-haspopup="dialog" onclick={() => (asked = !open)}
    >{me?.name ?? 'Who is at the bench?'}</button
  >
  {#if open}<Lazy
      load={() => import('./WhoPanel.svelte')}
      props={{ onclose: () => (asked = false), onchosen: () => (asked = null) }}
    />{/if}
</div>

<style>
  .who {
    margin-left: auto;
    position: relative;
    flex-shrink: 0;
  }
  .me {
    min-height: 43px;
    padding: 0 4px;
    border: 0;
    background: none;
    color: var(--ink-2);
    font-size: var(--t2);
    cursor: pointer;
    text-decoration: underline;
    text-decoration-color: var(--rule);
    text-underline-offset: 4px;
  }
</style>
