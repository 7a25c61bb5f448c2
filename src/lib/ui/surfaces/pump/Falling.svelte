<script lang="ts">
  import { lengthText } from '../../../reader/units.ts';
  import type { Reading } from '$core/job/replayed.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import type { LiftWork } from '$core/domains/pump/lift-work.ts';
  import ReadingText from '../../job/ReadingText.svelte';
  import type { JobSession } from '../../job/session.svelte.ts';

  /** The dial as the crank was backed, and where it came to rest. */
  interface Props {
    work: LiftWork;
    session: JobSession;
    prefs: Prefs;
    onnext: () => void;
    onamend: (r: Reading) => void;
  }
  let { work, session, prefs, onnext, onamend }: Props = $props();
  const len = $derived(lengthText(prefs));
  const n = $derived(work.falling.length);
  const most = $derived(Math.max(0.1, ...work.falling.map((r) => r.value)));
  const x = (k: number) => 16 + (k * 268) / Math.max(7, n - 1);
  const y = (mm: number) => 74 - (62 * mm) / most;
  const rests = (k: number) => work.base !== null && k >= work.base.index;
</script>

<button class="link" onclick={onnext}>dial, as the crank is backed</button>
{#if n}
  <svg
    class="drawing"
    viewBox="0 0 300 84"
    role="img"
    aria-label="{n} readings of the dial{work.base
      ? `, at rest since reading ${work.base.index + 1}`
      : ', still falling'}"
  >
    {#if work.base}<path d="M{x(work.base.index) - 8} {y(work.base.zeroMm)}H292" class="rest" />{/if}
    <path d="M8 76H292" class="thin" />
    {#each work.falling as r, k (r.id)}<circle
        cx={x(k)}
        cy={y(r.value)}
        r="4.5"
        class="at"
        class:rests={rests(k)}
      />{/each}
  </svg>
  <p class="row">
    {#each work.falling as r (r.id)}<ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} />
    {/each}
  </p>
  <p class="quiet small">
    {work.base
      ? `At rest since reading ${work.base.index + 1}, at ${len(work.base.zeroMm, 2)}.`
      : 'Still falling: back it further.'}
  </p>
{/if}

<style>
  svg {
    max-width: 320px;
  }
  .at {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .rests {
    fill: var(--ink);
  }
  .rest {
    stroke: var(--in);
    stroke-width: 9;
    stroke-opacity: 0.35;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
  }
</style>
