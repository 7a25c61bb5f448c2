<script lang="ts">
  import { choiceOf } from '$core/engine/engine.ts';
  import type { StepChoice } from '$core/job/run-sheet.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  /** What a step asks and is answered with one of a few words; each answer is an event, the last one counts. */
  interface Props {
    session: JobSession;
    choices: StepChoice[];
  }
  let { session, choices }: Props = $props();
  const chosen = (c: StepChoice) =>
    session.state.replayed.chosen.get(c.id) ?? (c.field ? choiceOf(session.engine, c.field) : undefined);
  const label = (c: StepChoice) => c.options.find((o) => o.id === chosen(c))?.label;
  /** once all is answered the answers are one line that can be opened again, so that the drawing has its room */
  const answered = $derived(choices.every((c) => label(c) !== undefined));
</script>

{#snippet groups()}
  <div class="choices">
    {#each choices as c (c.id)}
      <div role="group" aria-labelledby="asks-{c.id}">
        <span id="asks-{c.id}">{c.question}</span>
        <div class="row">
          {#each c.options as o (o.id)}
            <button
              aria-pressed={chosen(c) === o.id}
              onclick={() => session.say({ kind: 'choose', school: c.id, option: o.id })}>{o.label}</button
            >
          {/each}
        </div>
      </div>
    {/each}
  </div>
{/snippet}

{#if answered}
  <details>
    <summary
      >{#each choices as c, k (c.id)}{k ? ' · ' : ''}{c.question} <b>{label(c)}</b>{/each}</summary
    >
    {@render groups()}
  </details>
{:else}{@render groups()}{/if}

<style>
  details {
    margin: 0 0 10px;
  }
  summary {
    min-height: 32px;
    padding: 4px 0;
    font-size: var(--t2);
    cursor: pointer;
  }
  /* question and answers in one line where there is room, so that the drawing below has its own */
  [role='group'] {
    display: flex;
    flex-wrap: wrap;
    gap: 3px 12px;
    align-items: center;
  }
  [role='group'] > span {
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .choices {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 22px;
    margin-bottom: 10px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    border: 1.5px solid var(--ink);
    width: fit-content;
  }
  button {
    min-height: 44px;
    padding: 6px 13px;
    border: 0;
    border-right: 1px solid var(--rule);
    background: none;
    cursor: pointer;
  }
  button:last-child {
    border-right: 0;
  }
  button[aria-pressed='true'] {
    background: var(--ink);
    color: var(--sheet);
    font-weight: 620;
  }
</style>
