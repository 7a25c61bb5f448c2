<script lang="ts">
  import type { Match } from '$core/calculations/curve/curve-match.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import type { MatchInput } from '$core/domains/recurve/recurve-work.ts';
  import { figuresOf, fitOf } from './match-words.ts';
  import type { Matcher } from './matcher.svelte.ts';

  interface Props {
    input: MatchInput | null;
    lacks: string[];
    name: (id: string) => string;
    /** of how many the tray has, to say what is left */
    count: (id: string) => number;
    matcher: Matcher;
    /** which of the matches is looked at: its curve is drawn */
    chosen: number;
    ontake?: ((m: Match) => void) | undefined;
    taken?: string | undefined;
    /** of each match, whether it can be told from the first; null: not known */
    apart: (boolean | null)[];
  }
  let { input, lacks, name, count, matcher, chosen = $bindable(), ontake, taken, apart }: Props = $props();

  const ranked = $derived(matcher.result?.ranked ?? []);
  const stopDeg = (stop: string) => input?.tray.stops.find((s) => s.id === stop)?.deg ?? 0;
  const id = (m: Match) => `${m.springs.join(' ')} ${m.stop}`;
  const measuredTo = $derived(input ? Math.max(...input.baseline.map((k) => k.deg)) : 0);
  const leftOut = $derived(input?.tray.stops.filter((s) => s.deg > measuredTo + 1e-9).map((s) => name(s.id)) ?? []);
  const nothing = $derived(
    matcher.result && ranked.length === 0
      ? input?.tray.springs.length === 0
        ? 'There are no springs in the tray: hang weights on some and put them in.'
        : input?.tray.stops.length === 0
          ? 'There are no stops in the tray.'
          : 'No pair and stop of the tray can be judged: every stop lies beyond what was measured.'
      : null
  );
</script>

<section aria-label="Springs and stop for this target">
  <h2>Springs and stop for this target</h2>
  {#if !input}
    <p class="quiet">Still to come: {lacks.join(', ')}.</p>
  {:else}
    <p class="quiet small" aria-live="polite">
      {#if matcher.share !== null && matcher.share > 0}
        Searching, {(100 * matcher.share).toFixed(0)} %
      {:else if matcher.cancelled}
        Stopped. What is below was found before.
      {:else if matcher.result}
        {matcher.result.evaluated.toLocaleString('en-GB')} pairs and stops tried.
        {#if input.limits.totalMaxBtdc !== undefined}Total at most {input.limits.totalMaxBtdc}°.{/if}
        {#if input.limits.idleRpm !== undefined}Idle {formatSpeed(input.limits.idleRpm)} rpm.{/if}
        {#if leftOut.length}Not searched, above the {measuredTo.toFixed(1)}° that was measured: {leftOut.join(', ')}.
          Put one in on the drawing to see it.{/if}
      {/if}
    </p>
    {#if matcher.share !== null && matcher.share > 0}
      <progress value={matcher.share}></progress>
      <button class="button" onclick={() => matcher.cancel()}>Stop searching</button>
    {/if}
    {#if matcher.error}<p class="problem" role="alert">{matcher.error.message}</p>{/if}
    {#if nothing}<p class="problem">{nothing}</p>{/if}
    {#if apart.includes(null)}<p class="small quiet">
        Whether two picks can be told apart is not known: how well these springs are rated is not.
      </p>{/if}
    <ol data-testid="matches">
      {#each ranked as m, k (id(m))}
        <li class:chosen={k === chosen}>
          <button class="pick" aria-pressed={k === chosen} onclick={() => (chosen = k)}>
            <span class="n">{k + 1}</span>
            <b>{m.springs.map(name).join(' + ')}, {name(m.stop)}</b>
            <span class="fit" class:bad={m.violations.length > 0}>{fitOf(m)}</span>
            <span class="more"
              >{figuresOf(m, stopDeg(m.stop))}{#if apart[k] === false}; <b>cannot be told apart from 1</b
                >{/if}{#each [...new Set(m.springs)] as s (s)}{#if count(s) <= 1}; last {name(s)}{/if}{/each}</span
            >
          </button>
          {#if ontake && k === chosen}
            {#if taken === id(m)}<p class="taken">On this job.</p>{:else}<button
                class="button first"
                aria-keyshortcuts="T"
                onclick={() => ontake(m)}>Take them <kbd>T</kbd></button
              >{/if}
          {/if}
        </li>
      {/each}
    </ol>
  {/if}
</section>

<style>
  ol {
    border-top: 1.5px solid var(--ink);
    margin: 8px 0;
  }
  li {
    border-bottom: 1px solid var(--rule);
    padding-bottom: 6px;
  }
  li.chosen {
    box-shadow: inset 4px 0 0 var(--target);
    background: var(--sheet);
  }
  .pick {
    display: grid;
    grid-template-columns: 24px 1fr auto;
    gap: 0 8px;
    width: 100%;
    min-height: 44px;
    padding: 7px 6px 3px 10px;
    border: 0;
    background: none;
    text-align: left;
    cursor: pointer;
  }
  .pick b {
    font-stretch: 88%;
    font-size: var(--t4);
  }
  .fit {
    color: var(--in);
    font-weight: 600;
    text-align: right;
  }
  .fit.bad {
    color: var(--out);
  }
  .more {
    grid-column: 2 / 4;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  li .button,
  .taken {
    margin: 4px 0 4px 42px;
  }
  .taken {
    font-weight: 640;
    color: var(--in);
  }
  progress {
    width: 100%;
    accent-color: var(--ink);
  }
  .problem {
    color: var(--out);
    font-weight: 600;
  }
</style>
