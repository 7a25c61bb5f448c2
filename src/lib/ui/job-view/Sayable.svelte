<script lang="ts">
  import type { JobSession } from '../job/session.svelte.ts';

  /** States that nobody can see from the run sheet and that its rules watch. */
  let { session, ontell }: { session: JobSession; ontell: (flag: string, on: boolean) => void } = $props();
  let opened = $state(false);
  const flags = $derived(session.sheet.words.flags);
  const sayable = $derived(
    Object.keys(flags).filter(
      (f) => flags[f]!.sayable && session.sheet.rules.some((r) => [...r.on, ...r.off].includes(f))
    )
  );
</script>

<details ontoggle={(e) => (opened = e.currentTarget.open)}>
  <summary>Say what the sheet cannot see</summary>
  {#if opened}
    {#each sayable as f (f)}
      {@const on = session.state.flags.has(f)}
      <button class="link" onclick={() => ontell(f, !on)}>{on ? flags[f]!.off : flags[f]!.on}</button>
    {/each}
  {/if}
</details>

<style>
  details {
    font-size: var(--t2);
  }
  summary {
    min-height: 30px;
    cursor: pointer;
    color: var(--ink-2);
  }
  .link {
    display: block;
  }
</style>
