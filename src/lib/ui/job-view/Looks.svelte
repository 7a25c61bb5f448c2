<script lang="ts">
  import { looksOwed, lookSaid } from '$core/job/proved.ts';
  import type { StepView } from '$core/job/index.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import type { JobView } from '../job/view.svelte.ts';

  /**
   * What a step wants seen, felt or answered, a line each in the order of the hand. One key gives the next its good word,
   * another opens its other words.
   */
  interface Props {
    session: JobSession;
    view: JobView;
    v: StepView;
  }
  let { session, view, v }: Props = $props();
  const rows = $derived(looksOwed(session.state, v).map((look) => ({ look, said: lookSaid(session.state, look) })));
  const next = $derived(rows.find((r) => r.said === null)?.look.id);
  function say(id: string, option: string) {
    view.others = null;
    session.say({ kind: 'choose', school: id, option });
  }
</script>

{#if rows.length}
  <ul aria-label="Seen, felt, answered">
    {#each rows as { look, said } (look.id)}
      {@const isNext = look.id === next}
      {@const opened = view.others === look.id}
      <li class:next={isNext} class:bad={said?.holds}>
        <span class="what" id="look-{look.id}">{look.question}</span>
        {#if said && !opened}
          <b>{said.label}</b>
          <button class="link" aria-label="{look.question}: say otherwise" onclick={() => (view.others = look.id)}
            >otherwise</button
          >
        {:else}
          <span class="words" role="group" aria-labelledby="look-{look.id}">
            {#each look.options.filter((o, k) => opened || (!o.holds && (isNext || k === 0))) as o, k (o.id)}
              <button onclick={() => say(look.id, o.id)}
                >{o.label}{#if isNext && k === 0 && !opened}&nbsp;<kbd>Y</kbd>{/if}</button
              >
            {/each}
            {#if !opened}
              <button class="other" onclick={() => (view.others = look.id)}
                >otherwise{#if isNext}&nbsp;<kbd>N</kbd>{/if}</button
              >
            {/if}
          </span>
        {/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  ul {
    margin: 0 0 10px;
    border-top: 1px solid var(--rule);
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
    align-items: center;
    min-height: 44px;
    padding: 3px 0;
    border-bottom: 1px solid var(--rule);
  }
  .what {
    flex: 0 1 210px;
    color: var(--ink-2);
  }
  .next .what {
    color: var(--ink);
    font-weight: 620;
  }
  .bad b {
    text-decoration: underline double;
  }
  .words {
    flex: 1 1 320px;
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .words button {
    min-height: 44px;
    padding: 4px 12px;
    border: 1.5px solid var(--ink);
    background: none;
    cursor: pointer;
  }
  .words .other {
    border-style: dashed;
    color: var(--ink-2);
  }
</style>
