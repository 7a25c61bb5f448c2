<script lang="ts">
  import { getContext, type Component, type Snippet } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { inField, isIn, makeGoTo, places, withModifier } from '../keys/keys.ts';
  import Lazy from './Lazy.svelte';
  import Who from './Who.svelte';

  interface Props {
    /** what stands in the middle of the header */
    subject?: Snippet | undefined;
    keys?: [string, string][];
    onkey?: (e: KeyboardEvent) => void;
    children: Snippet;
    foot?: Snippet;
  }
  let { subject, keys = [], onkey, children, foot }: Props = $props();

  /** what every page says in its header, whatever it is about */
  const Note = getContext<Component | undefined>('note');
  const job = $derived(page.url.pathname.startsWith('/jobs/') && page.params.id ? `/jobs/${page.params.id}` : null);
  let showKeys = $state(false);
  const goTo = makeGoTo((href) => void goto(href));

  function key(e: KeyboardEvent) {
    if (inField(e) || withModifier(e)) return;
    if (e.key === '?') {
      showKeys = !showKeys;
      e.preventDefault();
    } else if (goTo(e)) e.preventDefault();
    else onkey?.(e);
  }
</script>

<svelte:window onkeydown={key} />
<a class="skip" href="#main">To the work</a>
<div class="frame" class:footed={!!foot}>
  <header class="no-print">
    <a class="mark" href="/">NEMRIK</a>
    <nav aria-label="Places">
      {#each places as p (p.href)}<a href={p.href} aria-current={isIn(p, page.url.pathname) ? 'page' : undefined}
          >{p.name}</a
        >{/each}
      {#if job}<a href={job} aria-current="page">Job</a>{/if}
    </nav>
    {#if subject}<div class="subject">{@render subject()}</div>{/if}
    {#if Note}<Note />{/if}
    <Who />
  </header>
  {@render children()}
  {#if foot}<footer class="no-print">{@render foot()}</footer>{/if}
</div>
{#if showKeys}<Lazy load={() => import('./KeyList.svelte')} props={{ keys, onclose: () => (showKeys = false) }} />{/if}

<style>
  .frame {
    min-height: 100vh;
    display: grid;
    grid-template-rows: 44px 1fr;
    grid-template-columns: minmax(0, 1fr);
  }
  .frame.footed {
    grid-template-rows: 44px 1fr auto;
  }
  @media (min-width: 901px) and (min-height: 500px) {
    .frame {
      height: 100vh;
    }
  }
  header {
    display: flex;
    align-items: center;
    gap: 18px;
    padding: 0 18px;
    border-bottom: 1.5px solid var(--ink);
    background: var(--film);
    min-width: 0;
  }
  .mark {
    font-stretch: 80%;
    font-weight: 750;
    font-size: var(--t5);
    letter-spacing: 0.06em;
    text-decoration: none;
  }
  nav {
    display: flex;
    margin-left: 8px;
  }
  nav a {
    padding: 0 10px;
    line-height: 42px;
    color: var(--ink-2);
    text-decoration: none;
  }
  nav a[aria-current] {
    color: var(--ink);
    font-weight: 650;
    box-shadow: inset 0 -3px 0 var(--ink);
  }
  .subject {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  footer {
    background: var(--line);
    color: var(--on-line);
    position: sticky;
    bottom: 0;
    z-index: 3;
  }
  .skip {
    position: absolute;
    left: -9999px;
    z-index: 10;
    padding: 10px 16px;
    background: var(--ink);
    color: var(--sheet);
  }
  .skip:focus {
    left: 8px;
    top: 4px;
  }
  @media (max-width: 900px) {
    header {
      gap: 10px;
      padding: 0 12px;
    }
    nav {
      margin-left: 0;
    }
    nav a {
      padding: 0 7px;
    }
    .subject {
      display: none;
    }
  }
  @media (max-width: 520px) {
    header {
      gap: 6px;
      padding: 0 8px;
    }
    .mark {
      font-size: var(--t3);
      letter-spacing: 0.02em;
    }
    nav a {
      padding: 0 4px;
      font-size: var(--t2);
      font-stretch: 88%;
    }
  }
</style>
