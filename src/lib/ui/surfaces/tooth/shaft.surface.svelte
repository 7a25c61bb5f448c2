<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { numberOf } from '$core/engine/engine.ts';
  import { formatClock } from '$core/units/format.ts';
  import { bearingPoint, CENTRE, SIZE } from '../../instruments/cap/cap-geometry.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const o = $derived(session.state.work.tooth.orient);
  const wanted = $derived(numberOf(session.engine, 'driveSlotBearingDeg') ?? null);
  const seen = $derived(session.state.readings.findLast((r) => r.slot === 'drive-slot') ?? null);
  const rows = $derived(o?.choices.slice(0, 3) ?? []);
  const steps = (k: number) =>
    k === 0
      ? 'as it lies'
      : `${Math.abs(k) === 1 ? 'one tooth' : `${Math.abs(k)} teeth`} ${k > 0 ? 'clockwise' : 'anticlockwise'}`;
  const w = $derived(wanted === null ? null : bearingPoint(wanted, CENTRE.radius + 18));
</script>

<div class="beside" style="--first: 0.8fr">
  <svg
    class="drawing"
    viewBox="0 0 {SIZE.width} {SIZE.height}"
    role="img"
    aria-label="Drive shaft from above: slot {seen
      ? `at ${seen.value.toFixed(0)} degrees`
      : 'not read'}, wanted at {wanted ?? 'not known'} degrees"
  >
    <text x={CENTRE.cx} y="15" class="label">front of engine</text>
    <circle cx={CENTRE.cx} cy={CENTRE.cy} r={CENTRE.radius} class="body" />
    {#each rows as c, k (c.toothStep)}
      {@const p = bearingPoint(c.bearingDeg, CENTRE.radius + 4)}
      {@const q = bearingPoint(c.bearingDeg, CENTRE.radius - 10)}
      <path d="M{p.x} {p.y}L{q.x} {q.y}" class="choice" class:best={k === 0} />
    {/each}
    {#if wanted !== null}
      {@const a = bearingPoint(wanted, 20)}
      {@const b = bearingPoint(wanted, CENTRE.radius + 6)}
      <path d="M{a.x} {a.y}L{b.x} {b.y}" class="wanted" />
      <circle cx={w!.x} cy={w!.y} r="7" class="aim" />
    {/if}
    {#if seen}
      <g transform="translate({CENTRE.cx} {CENTRE.cy}) rotate({seen.value})">
        <rect x="-9" y="-70" width="18" height="140" class="slot" />
        <!-- the narrow side marks which end of the slot is read -->
        <path d="M-9 -70L0 -88L9 -70Z" class="nose" />
      </g>
    {/if}
    <text x="8" y={SIZE.height - 10} class="label start">open mark: where the data sheet wants it</text>
  </svg>
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if rows.length}
      <table>
        <caption class="only-read">Teeth nearest to the wanted direction</caption>
        <thead
          ><tr><th>tooth</th><th class="n">slot at</th><th class="n">off by</th><th class="n">of the crank</th></tr
          ></thead
        >
        <tbody>
          {#each rows as c, k (c.toothStep)}
            <tr class:best={k === 0}
              ><td>{steps(c.toothStep)}</td><td class="n">{formatClock(c.bearingDeg)} ({c.bearingDeg.toFixed(1)}°)</td
              ><td class="n"
                >{Math.abs(c.offDeg).toFixed(1)}° {c.offDeg > 0 ? 'clockwise' : c.offDeg < 0 ? 'anticlockwise' : ''}</td
              ><td class="n">{c.crankDeg.toFixed(1)}°</td></tr
            >
          {/each}
        </tbody>
      </table>
      <p class="note">
        {o!.tie
          ? 'Two teeth are equally near: the first leaves more room to advance.'
          : `The first is better by ${o!.betterByDeg.toFixed(1)}°.`} Look at the narrow side: a plain slot hides half a turn.
      </p>
    {/if}
  </div>
</div>

<style>
  .label {
    text-anchor: middle;
  }
  .slot {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2.4;
  }
  .nose {
    fill: var(--ink);
  }
  .wanted {
    stroke: var(--target);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }
  .aim {
    fill: none;
    stroke: var(--target);
    stroke-width: 2.4;
  }
  .choice {
    stroke: var(--ink-2);
    stroke-width: 2;
  }
  .choice.best {
    stroke: var(--target);
    stroke-width: 4;
  }
  .best {
    font-weight: 640;
  }
</style>
