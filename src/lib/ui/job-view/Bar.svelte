<script lang="ts">
  import type { Rule } from '$core/job/rule.ts';
  import { putRight, ruleText } from '$core/job/rules.ts';
  import { onlyMeasured, saidWithSight, type FlagWords } from '$core/job/run-sheet.ts';

  interface Props {
    rule: Rule;
    flags: Record<string, FlagWords>;
    /** the states that are on */
    on: ReadonlySet<string>;
    ontell: (flag: string, on: boolean) => void;
    onhappened: () => void;
  }
  /** A rule that is raised, as a solid bar: what it says is written once it is opened, so that a page stands sooner. */
  let { rule, flags, on: now, ontell, onhappened }: Props = $props();
  let opened = $state(false);
  /** the states that let it go once they are seen to be so: a danger gone, or what it waits for */
  const letGo = $derived(
    (rule.on.length
      ? rule.on.filter((f) => flags[f]!.danger && now.has(f)).map((flag) => ({ flag, on: false }))
      : rule.off.map((flag) => ({ flag, on: true }))
    ).filter(({ flag, on }) => !(on && onlyMeasured(flags[flag]!)))
  );
</script>

<details class="flag" ontoggle={(e) => (opened = e.currentTarget.open)}>
  <summary>{rule.bar}</summary>
  {#if opened}
    {#each Object.values(ruleText(rule)) as sentence (sentence)}<p>{sentence}</p>{/each}
    <p>Put it right first: {putRight(rule, flags)}.</p>
    <p class="right">
      {#each letGo as { flag, on } (flag)}
        <button class="button" onclick={() => ontell(flag, on)}
          >{saidWithSight(flags[flag]!) ? 'Seen' : 'It is so'}: {on ? flags[flag]!.on : flags[flag]!.off}</button
        >
      {/each}
      <button class="button" onclick={onhappened}>It happened</button>
    </p>
  {/if}
</details>

<style>
  .flag {
    margin-top: 2px;
    background: var(--ink);
    color: var(--sheet);
    font-size: var(--t2);
  }
  summary {
    padding: 6px 10px;
    font-weight: 600;
    cursor: pointer;
  }
  p {
    padding: 0 10px 8px;
  }
  .right {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
</style>
