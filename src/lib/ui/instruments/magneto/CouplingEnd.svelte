<script lang="ts">
  import { wrap180 } from '$core/numerics/angles.ts';
  import { gripped, type Grip } from '../grip.ts';
  import { arc, onCircle } from '../pump/pump-geometry.ts';

  /** The drive's coupling from its drive end: where it must stand, where it stands, and what a tooth moves it by. */
  interface Props {
    wanted: number | null;
    found: number | null;
    pitchDeg: number | null;
    direction: 'cw' | 'ccw';
  }
  let { wanted, found, pitchDeg, direction }: Props = $props();
  let tried = $state<number | null>(null);
  const shown = $derived(tried ?? found ?? wanted ?? 0);
  const off = $derived(wanted === null ? null : wrap180(shown - wanted));
  const [X, Y, R] = [150, 140, 104];
  const at = (deg: number, r: number) => onCircle(X, Y, r, deg);
  const a = $derived(at(shown, 66));
  const b = $derived(at(shown + 180, 66));
  const run = $derived(direction === 'cw' ? 1 : -1);
  const tip = $derived(at(run * 22, R + 16));
  let held = 0;
  const step = $derived(pitchDeg ?? 1);
  const grip: Grip = {
    take: () => void (held = shown),
    drag: (p, from) => (tried = held + Math.round((p.x - from.x) / 4 / step) * step),
    step: (by) => Number.isFinite(by) && (tried = shown + by * step)
  };
  const says = $derived(
    off === null
      ? `${shown.toFixed(0)}° from upright`
      : Math.abs(off) < 0.05
        ? 'as it must stand'
        : `${Math.abs(off).toFixed(1)}° ${off > 0 ? 'clockwise' : 'anticlockwise'} of its direction`
  );
  const lugs = [0, 180];
</script>

<figure>
  <svg class="drawing" viewBox="0 0 300 288" role="group" aria-label="Drive coupling from its drive end, {says}">
    <circle cx={X} cy={Y} r={R} class="gear" />
    {#if pitchDeg !== null}
      {#each Array.from({ length: Math.round(360 / pitchDeg) }, (_, k) => k * pitchDeg) as t (t)}
        {@const p = at(t, R)}{@const q = at(t, R - 9)}
        <path d="M{p.x} {p.y}L{q.x} {q.y}" class="thin" />
      {/each}
    {/if}
    {#if wanted !== null}
      {@const p = at(wanted, R + 10)}{@const q = at(wanted + 180, R + 10)}
      <path d="M{p.x} {p.y}L{q.x} {q.y}" class="middle" />
      {#if pitchDeg !== null}<path
          d={arc(X, Y, R - 18, wanted - pitchDeg / 2, wanted + pitchDeg / 2)}
          class="within"
        />{/if}
    {/if}
    <g
      class="grip"
      role="slider"
      tabindex="0"
      aria-label="Turn the coupling on the drawing, tooth by tooth"
      aria-valuemin="-360"
      aria-valuemax="720"
      aria-valuenow={Math.round(shown)}
      aria-valuetext={says}
      {@attach gripped(() => grip)}
    >
      <circle cx={X} cy={Y} r="80" class="hit" />
      <path d="M{a.x} {a.y}L{b.x} {b.y}" class="slot" />
      {#each lugs as l (l)}{@const p = at(shown + l, 66)}<circle cx={p.x} cy={p.y} r="9" class="target" />{/each}
    </g>
    <circle cx={X} cy={Y} r="12" class="hub" />
    <path d={arc(X, Y, R + 16, -run * 22, run * 22)} class="line" />
    <circle cx={tip.x} cy={tip.y} r="4" class="hub" />
    <text x={X} y="280" class="label" text-anchor="middle"
      >drive end{pitchDeg === null ? '' : `; a tooth is ${pitchDeg.toFixed(1)}°`}</text
    >
  </svg>
  <figcaption>
    {says}{#if tried !== null}, as tried <button class="link" onclick={() => (tried = null)}
        >back to what was read</button
      >{/if}
  </figcaption>
</figure>

<style>
  figure {
    margin: 0;
  }
  figcaption {
    font-size: var(--t2);
  }
  .slot {
    stroke: var(--ink);
    stroke-width: 16;
    stroke-linecap: round;
  }
  .hit {
    fill: transparent;
  }
  .grip {
    cursor: grab;
    touch-action: none;
  }
</style>
