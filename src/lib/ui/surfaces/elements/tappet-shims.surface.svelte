<script lang="ts">
  import { numberOf } from '$core/engine/engine.ts';
  import { lastSpacing } from '$core/domains/elements/tappets.ts';
  import { tappetPicks } from '$core/domains/elements/tappet-picks.ts';
  import { partsTaken } from '$core/job/taken.ts';
  import PlaceParts from '../../instruments/places/PlaceParts.svelte';
  import { drawingOf } from '../../instruments/places/places.ts';
  import { lengthText } from '../../../reader/units.ts';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, prefs }: SurfaceProps = $props();
  const len = $derived(lengthText(prefs));
  const w = $derived(lastSpacing(session.state));
  const taken = $derived(partsTaken(session.state.replayed, 'shim'));
  // what is on the job already counts as in the tray
  const stock = $derived(
    session.stock.map((s) => ({ ...s, count: s.count + taken.filter((t) => t.id === s.id).length }))
  );
  const picks = $derived(w ? tappetPicks(w.rows, stock, numberOf(session.engine, 'camVelocity')) : []);
  const all = $derived(picks.flatMap((p) => p.ids));
  const nameOf = (id: string) => stock.find((s) => s.id === id)?.name ?? id;
  const same = $derived(
    [...all].sort().join() ===
      taken
        .map((t) => t.id)
        .sort()
        .join()
  );
  /** what is left of an error: too thin a shim leaves it late */
  const off = (deg: number) =>
    Math.abs(deg) < 0.005 ? '0.00°' : `${Math.abs(deg).toFixed(2)}° ${deg > 0 ? 'late' : 'early'}`;
  const take = (items: string[]) => session.say({ kind: 'take', step: stepId, part: 'shim', items });
</script>

{#if taken.length}
  <p role="status">
    <b>On this job: {taken.map((t) => t.name).join(' + ')}</b>
    <button class="link" onclick={() => take([])}>Put back</button>
  </p>
{/if}
{#if picks.length}
  <table data-testid="tappets">
    <caption class="only-read">What each tappet gets, and what it leaves</caption>
    <thead
      ><tr
        ><th>element</th><th class="n">change</th><th>from the tray</th><th class="n">leaves</th><th class="n"
          >of the pump</th
        ></tr
      ></thead
    >
    <tbody>
      {#each picks as p (p.element)}
        <tr
          ><td>{p.element}</td><td class="n">{len(Math.abs(p.wantMm), 2)} {p.wantMm > 0 ? 'thicker' : 'thinner'}</td><td
            >{p.wantMm < 0 ? 'take shims out' : p.ids.length ? p.ids.map(nameOf).join(' + ') : 'nothing near it'}</td
          ><td class="n">{p.wantMm < 0 ? '' : len(Math.abs(p.leftMm), 3)}</td><td class="n"
            >{p.wantMm < 0 ? '' : p.leftDeg === null ? 'not known' : off(p.leftDeg)}</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  {#if all.length && !same}
    <button class="button first" aria-keyshortcuts="T" onclick={() => take(all)}
      >Take {all.length === 1 ? 'it' : `these ${all.length}`} <kbd>T</kbd></button
    >
  {/if}
  <p class="note">
    Thicker closes earlier. Measure each piece as it goes in, keep each tappet’s shims to that tappet, and read all
    elements again afterwards.
    {w!.withinDeg === null ? '' : `An element may stand off ± ${w!.withinDeg}°.`}
  </p>
{:else}
  <PlaceParts
    drawing={drawingOf('pump')!}
    names={{ 'pump.tappets': 'tappets' }}
    touched={{ 'pump.tappets': w ? 'stay as they are' : 'shims under each' }}
    found={new Map()}
  />
  <p>
    {w ? 'By the last round no tappet needs another shim.' : 'Read all elements first: what each tappet needs follows.'}
  </p>
{/if}
