<script lang="ts">
  import type { Step } from '$core/job/run-sheet.ts';
  import { pickPlan, type ToFill } from '$core/domains/stack/picks.ts';
  import { partsTaken } from '$core/job/taken.ts';
  import { lengthPm, percent } from '$core/job/words.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import Verdict from '../primitives/Verdict.svelte';
  import { lengthText } from '../../reader/units.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  interface Props {
    session: JobSession;
    step: Step;
    prefs: Prefs;
    /** what the pieces are to bring into its limits; null while it is not measured */
    from: ToFill | null;
    /** the thickness of a pick that is looked at, to show in the drawing before it is taken; null for none */
    onlook?: (mm: number | null) => void;
  }
  let { session, step, prefs, from, onlook }: Props = $props();
  const kind = $derived(step.takes[0]!);
  const len = $derived(lengthText(prefs));
  const taken = $derived(partsTaken(session.state.replayed, kind));
  // what is on the job already counts as in the tray: a pick is of all that could be under the drive
  const stock = $derived(
    session.stock.map((s) => ({ ...s, count: s.count + taken.filter((t) => t.id === s.id).length }))
  );
  const plan = $derived(pickPlan(from, kind, stock));
  const nameOf = (id: string) => stock.find((s) => s.id === id)?.name ?? id;
  const names = (ids: string[]) => (ids.length ? ids.map(nameOf).join(' + ') : `no ${kind}`);
  const same = (ids: string[]) =>
    [...ids].sort().join() ===
    taken
      .map((t) => t.id)
      .sort()
      .join();
  const low = $derived(session.stock.filter((s) => s.kind === kind && s.count <= s.low));

  function take(ids: string[]) {
    onlook?.(null);
    session.say({ kind: 'take', step: step.id, part: kind, items: ids });
  }
</script>

{#if taken.length}
  <p class="taken" role="status">
    <b>On this job: {taken.map((t) => t.name).join(' + ')}</b>
    <button class="link" onclick={() => take([])}>Put back</button>
  </p>
{/if}
{#if plan}
  <ol aria-label="Picks from the tray, best first">
    {#each plan.picks as p, k (p.ids.join())}
      <li onpointerenter={() => onlook?.(p.sumMm)} onpointerleave={() => onlook?.(null)}>
        <p>
          <b>{names(p.ids)}</b>{#if p.ids.length}&ensp;<span class="quiet">{len(p.sumMm, 3)}</span>{/if}
        </p>
        <p>
          {plan.resultName} <b>{lengthPm(len, p.resultMm, p.uMm)}</b>&ensp;<Verdict state={p.verdict.state} size={14} />
          <span class="quiet small">{percent(p.verdict.pInSpec)}</span>
        </p>
        {#if same(p.ids)}<span class="quiet">{p.ids.length ? 'taken' : 'as it is'}</span>{:else}
          <button
            class="button"
            class:first={k === 0}
            aria-label="Take {names(p.ids)}"
            aria-keyshortcuts={k === 0 ? 'T' : undefined}
            onfocus={() => onlook?.(p.sumMm)}
            onblur={() => onlook?.(null)}
            onclick={() => take(p.ids)}
            >Take{#if k === 0}&nbsp;<kbd>T</kbd>{/if}</button
          >{/if}
      </li>
    {/each}
  </ol>
  <p class="note">
    Wanted: {plan.idealMm > 0 ? `${len(plan.idealMm, 3)} of ${kind}` : `no ${kind}`}.
    {#if plan.cutToMm !== null}<b>Nothing in the tray is surely in limits: cut one to {len(plan.cutToMm, 3)}.</b>{/if}
    {#if low.length}Running out: {low.map((s) => `${s.name} (${s.count} left)`).join(', ')}.{/if}
  </p>
{:else}
  <p class="quiet">What to take follows once it is measured what there is to fill.</p>
{/if}

<style>
  .taken {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    margin: 4px 0 10px;
    padding: 8px 0 8px 10px;
    border-left: 4px solid var(--in);
  }
  ol {
    border-top: 1.5px solid var(--ink);
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 10px;
    align-items: center;
    padding: 7px 0;
    border-bottom: 1px solid var(--hair);
    font-size: var(--t2);
  }
  li p:nth-child(2) {
    grid-row: 2;
  }
  li > :last-child {
    grid-area: 1 / 2 / 3 / 3;
  }
  .note b {
    color: var(--ink);
  }
</style>
