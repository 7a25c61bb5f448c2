<script lang="ts">
  import type { SchoolId } from '$core/domains/list.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  let { session, id }: { session: JobSession; id: SchoolId } = $props();
  const school = $derived(session.sheet.words.schools[id]!);
  const chosen = $derived(session.state.schools[id]);
  const name = $derived(school.options.find((o) => o.id === chosen.option)?.name ?? chosen.option);
</script>

<details class="school">
  <summary
    >{school.title}: <b>{name}</b>
    <span class="quiet">({chosen.chosen ? 'chosen on this job' : `proposed: ${chosen.because}`})</span></summary
  >
  <div class="options">
    {#each school.options as o (o.id)}
      <button
        aria-pressed={o.id === chosen.option}
        onclick={() => session.say({ kind: 'choose', school: id, option: o.id })}
      >
        <b>{o.name}</b>
        <span>{o.gives} {o.costs}</span>
        <span class="quiet">{o.preferWhen}</span>
      </button>
    {/each}
  </div>
</details>

<style>
  .school {
    font-size: var(--t2);
    margin-bottom: 10px;
  }
  summary {
    cursor: pointer;
    min-height: 28px;
    color: var(--ink-2);
  }
  summary b {
    color: var(--ink);
  }
  .options {
    border-top: 1.5px solid var(--ink);
    margin-top: 4px;
  }
  .options button {
    display: grid;
    gap: 1px;
    width: 100%;
    padding: 8px 10px;
    min-height: 44px;
    border: 0;
    border-bottom: 1px solid var(--hair);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  .options button[aria-pressed='true'] {
    box-shadow: inset 4px 0 0 var(--ink);
  }
</style>
