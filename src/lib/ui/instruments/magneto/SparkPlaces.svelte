<script lang="ts">
  import { gripped, type Grip } from '../grip.ts';
  import { arc, onCircle } from '../pump/pump-geometry.ts';

  /** The flywheel: running spark, impulse spark and what was heard; the coupling's spring winds up as the crank comes round. */
  interface Props {
    runBtdc: number | null;
    snapBtdc: number | null;
    lagCrankDeg: number | null;
    heard: { btdc: number; u: number } | null;
    readings: readonly number[];
    direction: 'cw' | 'ccw';
  }
  let { runBtdc, snapBtdc, lagCrankDeg, heard, readings, direction }: Props = $props();
  const sign = $derived(direction === 'cw' ? 1 : -1);
  /** the crank on the drawing, degrees before TDC; it comes round from early to late */
  let turned = $state<number | null>(null);
  const crank = $derived(turned ?? heard?.btdc ?? snapBtdc ?? 0);
  const [X, Y, R] = [170, 150, 112];
  /** what lies before the top is drawn on the side it comes from */
  const place = (btdc: number, r = R) => onCircle(X, Y, r, -sign * btdc * 2);
  const wound = $derived(
    runBtdc === null || lagCrankDeg === null || lagCrankDeg <= 0
      ? 0
      : Math.max(0, Math.min(1, (runBtdc - crank) / lagCrankDeg))
  );
  const released = $derived(snapBtdc !== null && crank < snapBtdc - 0.05);
  const coil = $derived.by(() => {
    const turns = 1.2 + (released ? 0 : wound) * 1.6;
    return Array.from({ length: 60 }, (_, k) => {
      const f = k / 59;
      const p = onCircle(X, Y, 10 + 22 * f, sign * 360 * turns * f);
      return `${k ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`;
    }).join('');
  });
  let held = 0;
  const grip: Grip = {
    take: () => void (held = crank),
    drag: (p, from) => (turned = clamp(held - (sign * (p.x - from.x)) / 3)),
    step: (by) => Number.isFinite(by) && (turned = clamp(crank - by))
  };
  const clamp = (d: number) => Math.max(-40, Math.min(60, d));
  const word = (d: number) => (Math.abs(d) < 0.05 ? 'TDC' : `${Math.abs(d).toFixed(1)}° ${d > 0 ? 'before' : 'after'}`);
  const says = $derived(`crank ${word(crank)}, spring ${released ? 'let go' : `${Math.round(100 * wound)} % wound`}`);
  const now = $derived(place(crank, R - 4));
</script>

<figure>
  <svg
    class="drawing"
    viewBox="-60 0 460 300"
    role="group"
    aria-label="Flywheel with its spark places, {says}; angles drawn twice as large"
  >
    <circle cx={X} cy={Y} r={R} class="gear" />
    {#each [0] as zero (zero)}{@const p = place(zero, R + 16)}{@const q = place(zero, R - 10)}
      <path d="M{p.x} {p.y}L{q.x} {q.y}" class="line" /><text x={X} y={Y - R - 22} class="label" text-anchor="middle"
        >TDC</text
      >{/each}
    {#if runBtdc !== null}{@const p = place(runBtdc)}{@const t = place(runBtdc, R + 26)}
      <circle cx={p.x} cy={p.y} r="8" class="target" /><text
        x={t.x}
        y={t.y + 4}
        class="label"
        class:end={sign > 0}
        class:start={sign < 0}>running {word(runBtdc)}</text
      >{/if}
    {#if snapBtdc !== null}{@const p = place(snapBtdc)}{@const t = place(snapBtdc, R + 22)}
      <rect x={p.x - 6} y={p.y - 6} width="12" height="12" class="target" /><text
        x={t.x}
        y={t.y + 4}
        class="label"
        class:start={sign > 0}
        class:end={sign < 0}>impulse {word(snapBtdc)}</text
      >{/if}
    {#each readings as r, k (k)}{@const p = place(r, R - 22)}<circle cx={p.x} cy={p.y} r="3.5" class="hub" />{/each}
    {#if heard}
      <path
        d={arc(X, Y, R - 22, -sign * 2 * (heard.btdc + 2 * heard.u), -sign * 2 * (heard.btdc - 2 * heard.u))}
        class="doubt"
      />
    {/if}
    <g
      class="grip"
      role="slider"
      tabindex="0"
      aria-label="Turn the crank on the drawing"
      aria-valuemin="-40"
      aria-valuemax="60"
      aria-valuenow={Math.round(crank)}
      aria-valuetext={says}
      {@attach gripped(() => grip)}
    >
      <circle cx={X} cy={Y} r="70" class="hit" />
      <path d={coil} class="coil" class:released />
      <path d="M{X} {Y}L{now.x} {now.y}" class="now" />
    </g>
    <text x={X} y="292" class="label" text-anchor="middle">angles drawn twice as large</text>
  </svg>
  <figcaption>
    {says}.{#if turned !== null}
      <button class="link" onclick={() => (turned = null)}>Back</button>{/if}
  </figcaption>
</figure>

<style>
  figure {
    margin: 0;
  }
  svg {
    max-width: 440px;
  }
  figcaption {
    font-size: var(--t2);
  }
  .coil {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 3;
  }
  .released {
    stroke: var(--target);
  }
  .now {
    stroke: var(--ink);
    stroke-width: 2.4;
  }
  .doubt {
    fill: none;
    stroke: var(--ink);
    stroke-opacity: 0.3;
    stroke-width: 12;
  }
  .hit {
    fill: transparent;
  }
  .grip {
    cursor: grab;
    touch-action: none;
  }
</style>
