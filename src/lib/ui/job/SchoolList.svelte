<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { SchoolId } from '$core/domains/list.ts';
  import type { JobSession } from './session.svelte.ts';

  type Option = JobSession['sheet']['words']['schools'][string]['options'][number];
  interface Props {
    session: JobSession;
    id: SchoolId;
    /** what stands behind the name of the chosen way */
    note?: string;
    /** what of a way stands in its row */
    row: Snippet<[Option]>;
    /** the ways in the order in which they stand; without it, that of the school */
    order?: readonly string[];
  }
  let { session, id, note = '', row, order }: Props = $props();

  const school = $derived(session.sheet.words.schools[id]!);
  const chosen = $derived(session.state.schools[id]);
  const ways = $derived(order ? order.map((o) => school.options.find((x) => x.id === o)!) : school.options);
  const name = $derived(school.options.find((o) => o.id === chosen.option)?.name ?? chosen.option);
</script>

<details aria-label={school.title}>
  <summary
    >{school.title}: <b>{name}</b>{note}
    <span class="quiet">({chosen.chosen ? 'chosen on this job' : `proposed: ${chosen.because}`})</span></summary
  >
  <div class="ways">
    {#each ways as o (o.id)}
      <button
        aria-pressed={o.id === chosen.option}
        onclick={() => session.say({ kind: 'choose', school: id, option: o.id })}>{@render row(o)}</button
      >
    {/each}
  </div>
</details>

<style>
  details {
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
  .ways {
    border-top: 1.5px solid var(--ink);
    margin-top: 4px;
  }
  button {
    display: grid;
    gap: 1px;
    width: 100%;
    padding: 7px 10px;
    min-height: 44px;
    border: 0;
    border-bottom: 1px solid var(--hair);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    box-shadow: inset 4px 0 0 var(--ink);
  }
</style>
