<script lang="ts">
  import { tallies, type Tally } from '$core/job/tally.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  /** What a step counts out, counts back or reads piece by piece: how many are there, and how many are still to come. */
  let { session, stepId, sayable }: { session: JobSession; stepId: string; sayable: boolean } = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const counts = $derived(tallies(session.state, step));
  /** beyond this a row of places tells less than the figure */
  const MOST_PLACES = 24;
  const places = (t: Tally) => Math.max(t.of ?? 0, t.n ?? 0);
  const known = (t: Tally) => t.of !== null || t.n !== null;

  const said = (t: Tally): string => {
    if (t.ofWhat === null) return t.n === null ? 'none counted yet' : `${t.n} counted`;
    if (t.of === null) return `${t.n ?? 0} counted, but not how many there were`;
    if (t.left !== null && t.left < 0) return `${t.n} of ${t.of}: ${-t.left} too many`;
    const left = t.of - (t.n ?? 0);
    return left === 0 ? `all ${t.of}` : `${t.n ?? 0} of ${t.of}: ${left} still ${t.each ? 'to read' : 'to come'}`;
  };
  const one = (t: Tally) =>
    session.say({
      kind: 'reading',
      step: stepId,
      slot: t.slot.slot,
      quantity: 'count',
      text: String((t.n ?? 0) + 1),
      defaultUnit: '',
      gaugeId: null
    });
</script>

{#each counts as t (t.slot.slot)}
  {#if known(t) || sayable}
    <div class="tally" role="group" aria-label={t.slot.label}>
      <p class="name">{t.slot.label}</p>
      <p class="said" class:out={t.left !== null && t.left < 0} role="status">{said(t)}</p>
      {#if places(t) > 0 && places(t) <= MOST_PLACES}
        <!-- the tray: a place for each, full once it is there -->
        <p class="tray" aria-hidden="true">
          {#each { length: places(t) }, k (k)}<span class:here={k < (t.n ?? 0)} class:over={t.of !== null && k >= t.of}
            ></span>{/each}
        </p>
      {/if}
      {#if sayable && !t.each && (t.of === null || (t.n ?? 0) < t.of)}
        <button class="button" onclick={() => one(t)}>one more{t.ofWhat === null ? '' : ' is back'}</button>
      {/if}
    </div>
  {/if}
{/each}

<style>
  .tally {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 14px;
    align-items: center;
    padding: 8px 0;
    border-bottom: 1px solid var(--hair);
  }
  p {
    margin: 0;
  }
  .name {
    grid-column: 1 / -1;
  }
  .said {
    font-stretch: 76%;
    font-weight: 640;
    font-size: var(--t4);
    line-height: 1.2;
  }
  .tray {
    grid-row: 3;
    grid-column: 1;
    display: flex;
    flex-wrap: wrap;
    gap: 5px;
  }
  .tray span {
    width: 20px;
    height: 20px;
    border: 1.5px dashed var(--ink-2);
  }
  .tray .here {
    border: 0;
    background: var(--ink);
  }
  .tray .over {
    background: var(--out);
  }
  .button {
    grid-column: 2;
    grid-row: 2 / span 2;
  }
  .out {
    color: var(--out);
  }
</style>
