<script lang="ts">
  import type { Slider } from '$core/calculations/piston/slider.ts';
  import { dialTicks, layout, pose, ray, sector, SIZE } from './piston-geometry.ts';

  interface Mark {
    deg: number;
    label: string;
  }
  interface Props {
    slider: Slider;
    /** degrees after TDC at which to show the piston; null: at the top */
    deg: number | null;
    /** +1 when the crank runs clockwise on the drawing */
    runs: 1 | -1;
    dwellDeg: number | null;
    /** both sides of the measurement, degrees after TDC */
    marks: Mark[];
    depthText: string | null;
    dwellLabel: string | null;
    /** leave the words out where the drawing is small */
    bare?: boolean;
  }
  let { slider, deg, runs, dwellDeg, marks, depthText, dwellLabel, bare = false }: Props = $props();

  const l = $derived(layout(slider));
  const p = $derived(pose(l, slider, deg ?? 0, runs));
  const face = { cx: 100, cy: 36, r: 32 };
  const ticks = dialTicks(face.cx, face.cy, face.r);
  const half = $derived(Math.max(1.2, (dwellDeg ?? 0) / 2));
  const before = $derived(marks.filter((m) => m.label === 'before'));
  const after = $derived(marks.filter((m) => m.label === 'after'));
</script>

<svg
  class="drawing"
  viewBox="0 0 {SIZE.width} {SIZE.height}"
  role="img"
  aria-label="Piston and dial: {depthText ?? 'no depth read yet'}; {dwellLabel ?? ''}"
>
  {#if dwellDeg !== null}<path d={sector(l, -half, half, l.crank * 1.5)} class="dwell" />{/if}
  <circle cx={l.cx} cy={l.cy} r={l.crank} class="thin" />
  {#each marks as m, k (k)}
    {#if m.label === 'middle'}<path d={ray(l, m.deg, runs, l.crank * 1.1, l.crank * 1.62)} class="mark middle" />
    {:else}<path
        d={ray(l, m.deg, runs, l.crank * 0.3, l.crank * 1.5)}
        class="mark"
        class:latest={k >= marks.length - 3}
      />{/if}
  {/each}
  {#if before.length && !bare}<text
      x={l.cx - runs * 34}
      y={l.cy - l.crank * 1.42}
      class="label"
      text-anchor={runs > 0 ? 'end' : 'start'}>before</text
    >{/if}
  {#if after.length && !bare}<text
      x={l.cx + runs * 34}
      y={l.cy - l.crank * 1.42}
      class="label"
      text-anchor={runs > 0 ? 'start' : 'end'}>after</text
    >{/if}
  <path
    d="M{l.cx - 52} {l.crownTop - 12}V{l.cy - 84}M{l.cx + 52} {l.crownTop - 12}V{l.cy - 84}M{l.cx - 52} {l.crownTop -
      12}H{l.cx - 9}M{l.cx + 9} {l.crownTop - 12}H{l.cx + 52}"
    class="wall"
  />
  <g transform="translate(0 {p.crownY})">
    <rect x={l.cx - 48} y="0" width="96" height="58" class="part" />
    <path d="M{l.cx - 48} 8h96M{l.cx - 48} 14h96" class="thin ring" />
    <path d="M{l.cx} 0V{face.cy + face.r - p.crownY}" class="probe" />
  </g>
  <path d="M{p.gudgeon.x} {p.gudgeon.y}L{p.pin.x} {p.pin.y}" class="rod" />
  <path d="M{p.gudgeon.x} {p.gudgeon.y}L{p.pin.x} {p.pin.y}" class="rod core" />
  <path d="M{p.pin.x} {p.pin.y}L{l.cx} {l.cy}" class="web" />
  <circle cx={p.pin.x} cy={p.pin.y} r="5" class="part" />
  <circle cx={l.cx} cy={l.cy} r="6" class="part" />
  <circle cx={p.gudgeon.x} cy={p.gudgeon.y} r="4.5" class="part" />
  <circle cx={face.cx} cy={face.cy} r={face.r} class="part" />
  <path d={ticks} class="ring" />
  <path d="M0 0V-25" class="needle" transform="translate({face.cx} {face.cy}) rotate({p.needleDeg})" />
  <circle cx={face.cx} cy={face.cy} r="2.6" class="hub" />
  {#if depthText}
    {@const gx = l.cx + 68}
    <path
      d="M{l.cx + 54} {l.crownTop}H{gx + 8}M{l.cx + 54} {p.crownY}H{gx + 8}M{gx} {l.crownTop}V{p.crownY}"
      class="depth"
    />
    <text x={gx + 14} y={(l.crownTop + p.crownY) / 2 + 1} class="depth-text">{depthText}</text>
    <text x={gx + 14} y={(l.crownTop + p.crownY) / 2 + 17} class="label small">down (drawn × {l.magnify})</text>
  {/if}
  {#if dwellLabel && !bare}
    {#each dwellLabel.split('\n') as line, k (k)}<text x={l.cx + 64} y={l.cy - 8 + k * 17} class="unsure">{line}</text
      >{/each}
  {/if}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    max-width: 300px;
    will-change: transform;
    contain: layout paint;
  }
  .ring {
    fill: none;
    stroke: var(--ink);
    stroke-width: 0.9;
  }
  .dwell {
    fill: var(--dwell);
    opacity: 0.6;
  }
  .probe {
    stroke: var(--ink);
    stroke-width: 3;
  }
  .rod {
    stroke: var(--ink);
    stroke-width: 7;
    stroke-linecap: round;
  }
  .rod.core {
    stroke: var(--sheet);
    stroke-width: 3.4;
  }
  .web {
    stroke: var(--ink);
    stroke-width: 9;
    stroke-linecap: round;
  }
  .needle {
    fill: none;
    stroke: var(--target);
    stroke-width: 2.4;
  }
  .mark {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1;
    stroke-dasharray: 2 4;
  }
  .mark.latest {
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 4 3;
  }
  .mark.middle {
    stroke: var(--target);
    stroke-width: 2;
    stroke-dasharray: none;
  }
  .depth {
    fill: none;
    stroke: var(--predicted);
    stroke-width: 1.3;
  }
  .depth-text {
    font-size: var(--t2);
    font-weight: 620;
    fill: var(--predicted);
  }
  .label {
    font-size: var(--t1);
    fill: var(--ink);
  }
  .label.small {
    font-size: var(--t1);
    fill: var(--ink-2);
  }
  .unsure {
    font-size: var(--t1);
    fill: var(--unsure);
  }
</style>
