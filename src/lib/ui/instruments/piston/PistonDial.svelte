<script lang="ts">
  import type { Slider } from '$core/calculations/piston/slider.ts';
  import MovingPart from '../MovingPart.svelte';
  import { crownAt, dialTicks, FACE, layout, moves, pose, ray, sector, SIZE } from './piston-geometry.ts';

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
    /** the depth at which both sides were read, and how it is said */
    depth: { mm: number; text: string } | null;
    dwellLabel: string | null;
    /** leave the words out where the drawing is small */
    bare?: boolean;
  }
  let { slider, deg, runs, dwellDeg, marks, depth, dwellLabel, bare = false }: Props = $props();

  const l = $derived(layout(slider));
  const at = $derived(moves(l, pose(l, slider, deg ?? 0, runs)));
  const crank = $derived({ x: l.cx, y: l.cy });
  const gudgeon = $derived({ x: l.cx, y: l.crownTop + l.crownUp });
  const probe = $derived({ x: l.cx, y: FACE.cy + FACE.r });
  const face = { x: FACE.cx, y: FACE.cy };
  /** what each moving part covers, with the width of its lines */
  const boxes = $derived({
    piston: { x: l.cx - 50, y: l.crownTop - 2, width: 100, height: 62 },
    probe: { x: probe.x - 3, y: probe.y, width: 6, height: l.crownTop + 2 * l.crank - probe.y },
    rod: { x: gudgeon.x - 5, y: gudgeon.y - 5, width: 10, height: l.rod + 10 },
    web: { x: crank.x - 8, y: crank.y - l.crank - 8, width: 16, height: l.crank + 16 },
    pin: { x: gudgeon.x - 7, y: gudgeon.y - 7, width: 14, height: 14 },
    needle: { x: face.x - 5, y: face.y - 27, width: 10, height: 32 }
  });
  const ticks = dialTicks(FACE.cx, FACE.cy, FACE.r);
  const half = $derived(Math.max(1.2, (dwellDeg ?? 0) / 2));
  const before = $derived(marks.filter((m) => m.label === 'before'));
  const after = $derived(marks.filter((m) => m.label === 'after'));
</script>

<div class="stack">
  <svg
    class="drawing"
    viewBox="0 0 {SIZE.width} {SIZE.height}"
    role="img"
    aria-label="Piston and dial: {depth?.text ?? 'no depth read yet'}; {dwellLabel ?? ''}"
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
    <circle cx={face.x} cy={face.y} r={FACE.r} class="part" />
    <path d={ticks} class="ring" />
    {#if depth}
      {@const gx = l.cx + 68}
      {@const y = crownAt(l, slider, depth.mm)}
      <path d="M{l.cx + 54} {l.crownTop}H{gx + 8}M{l.cx + 54} {y}H{gx + 8}M{gx} {l.crownTop}V{y}" class="depth" />
      <text x={gx + 14} y={(l.crownTop + y) / 2 + 1} class="depth-text">{depth.text}</text>
      <text x={gx + 14} y={(l.crownTop + y) / 2 + 17} class="label small">down (drawn × {l.magnify})</text>
    {/if}
    {#if dwellLabel && !bare}
      {#each dwellLabel.split('\n') as line, k (k)}<text x={l.cx + 64} y={l.cy - 8 + k * 17} class="unsure">{line}</text
        >{/each}
    {/if}
  </svg>
  <MovingPart size={SIZE} box={boxes.piston} about={crank} motion={at.piston}>
    <rect x={l.cx - 48} y={l.crownTop} width="96" height="58" class="part" />
    <path d="M{l.cx - 48} {l.crownTop + 8}h96M{l.cx - 48} {l.crownTop + 14}h96" class="thin ring" />
  </MovingPart>
  <MovingPart size={SIZE} box={boxes.probe} about={probe} motion={at.probe}>
    <path d="M{probe.x} {probe.y}V{l.crownTop + 2 * l.crank}" class="probe" />
  </MovingPart>
  <MovingPart size={SIZE} box={boxes.rod} about={gudgeon} motion={at.rod}>
    <path d="M{gudgeon.x} {gudgeon.y}v{l.rod}" class="rod" />
    <path d="M{gudgeon.x} {gudgeon.y}v{l.rod}" class="rod core" />
  </MovingPart>
  <MovingPart size={SIZE} box={boxes.web} about={crank} motion={at.web}>
    <path d="M{crank.x} {crank.y}v{-l.crank}" class="web" />
    <circle cx={crank.x} cy={crank.y - l.crank} r="5" class="part" />
    <circle cx={crank.x} cy={crank.y} r="6" class="part" />
  </MovingPart>
  <MovingPart size={SIZE} box={boxes.pin} about={crank} motion={at.piston}>
    <circle cx={gudgeon.x} cy={gudgeon.y} r="4.5" class="part" />
  </MovingPart>
  <MovingPart size={SIZE} box={boxes.needle} about={face} motion={at.needle}>
    <path d="M{face.x} {face.y}v-25" class="needle" />
    <circle cx={face.x} cy={face.y} r="2.6" class="hub" />
  </MovingPart>
</div>

<style>
  .stack {
    position: relative;
    width: 100%;
    max-width: 300px;
  }
  .stack > svg {
    max-width: none;
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
