<script lang="ts">
  import { gripped, type Grip } from '../grip.ts';
  import MovingPart from '../MovingPart.svelte';
  import { mod } from '$core/numerics/angles.ts';
  import type { CrankPlan } from '$core/calculations/crank/crank-plan.ts';
  import { GENERIC_VALVES } from '$core/calculations/cycle/cycle-state.ts';
  import {
    arrowAt,
    dialFace,
    HAND,
    handTo,
    knobAt,
    lapPath,
    lapPoint,
    placeTouched,
    shapeFor,
    SIZE
  } from './dial-geometry.ts';
  import { DialTurn } from './dial.svelte.ts';

  interface Props {
    cycleDeg: 720 | 360;
    /** where the crank is; null: not known */
    deg: number | null;
    strokeKnown: boolean;
    targetDeg: number | null;
    plan: CrankPlan | null;
    valves?: typeof GENERIC_VALVES | null;
    /** what a screen reader hears as the dial's value */
    valueText: string;
    /** called while turning, with null when the hand lets go */
    onturning?: (deg: number | null) => void;
    /** called once when the dial was turned; travel is positive forward */
    onturned?: (deg: number, travel: number) => void;
  }
  let { cycleDeg, deg, strokeKnown, targetDeg, plan, valves = null, valueText, onturning, onturned }: Props = $props();

  const shape = $derived(shapeFor(cycleDeg));
  const hub = $derived({ x: shape.cx, y: shape.cy });
  const hand = $derived({ x: shape.cx - 3, y: shape.cy - HAND - 2, width: 6, height: HAND + 4 });
  const knob = $derived({ x: shape.cx - 11, y: shape.cy - 11, width: 22, height: 22 });
  const face = $derived(dialFace(shape));
  const v = $derived(valves ?? GENERIC_VALVES);
  const exhaust = $derived(lapPath(shape, 180 - v.evoBbdc, 360 + v.evcAtdc, -15));
  const intake = $derived(lapPath(shape, 360 - v.ivoBtdc, 540 + v.ivcAbdc, 15));
  const turn = new DialTurn(
    () => shape,
    () => deg,
    (d, travel) => onturned?.(d, travel)
  );
  const shown = $derived(turn.deg);
  const target = $derived(targetDeg === null ? null : mod(targetDeg, cycleDeg));
  const arcs = $derived(
    (plan?.steps ?? []).map((s) => {
      const sign = s.move === 'forward' ? 1 : -1;
      const end = s.fromDeg + sign * s.degrees;
      // the head stands a little short of the target, so that the target's mark stays free
      const head = end - sign * Math.min(5, s.degrees / 2);
      return { d: lapPath(shape, s.fromDeg, head), head: arrowAt(shape, head, sign > 0), passes: s.passes };
    })
  );

  const told = () => onturning?.(turn.held);
  const grip = $derived<Grip | null>(
    onturned
      ? {
          place: (e, on) => {
            const box = on.getBoundingClientRect();
            return {
              x: ((e.clientX - box.left) / box.width) * SIZE.width,
              y: ((e.clientY - box.top) / box.height) * SIZE.height
            };
          },
          take: (p) => {
            if (shown === null) turn.turnTo(placeTouched(shape, p.x, p.y));
            else turn.follow(p.x, p.y);
            told();
          },
          drag: (p) => {
            turn.follow(p.x, p.y);
            told();
          },
          drop: (whole) => {
            if (whole) turn.settle();
            else turn.drop();
            onturning?.(null);
          },
          step: (by) => {
            if (!Number.isFinite(by)) return;
            turn.nudge(by);
            told();
          },
          key: (e) => {
            if (e.key !== 'Enter' && e.key !== 'Escape') return false;
            if (e.key === 'Enter') turn.settle();
            else turn.drop();
            onturning?.(null);
            return true;
          }
        }
      : null
  );
</script>

<div class="dial" class:live={!!onturned}>
  <svg
    class="drawing"
    viewBox="0 0 {SIZE.width} {SIZE.height}"
    role="slider"
    tabindex={onturned ? 0 : -1}
    aria-label="Two-lap dial: where the crank is in the cycle"
    aria-valuemin="0"
    aria-valuemax={cycleDeg}
    aria-valuenow={Math.round((shown ?? 0) * 10) / 10}
    aria-valuetext={valueText}
    aria-disabled={!onturned}
    {@attach gripped(() => grip)}
    onblur={() => turn.settle()}
  >
    {#if face.inner}<path d={face.inner} class="lap inner" />{/if}
    <path d={face.outer} class="lap outer" />
    {#if cycleDeg === 720}
      <path d={exhaust} class="valve exhaust" />
      <path d={intake} class="valve intake" />
    {/if}
    <path d={face.short} class="tick" />
    <path d={face.long} class="tick long" />
    {#if target !== null}
      {@const p = lapPoint(shape, target)}
      {@const q = lapPoint(shape, target, 13)}
      {@const i = lapPoint(shape, target, -13)}
      <path d="M{i.x} {i.y}L{q.x} {q.y}" class="target" />
      <circle cx={p.x} cy={p.y} r="5.5" class="target" />
    {/if}
    <text x={shape.cx} y="16" class="place strong">{cycleDeg === 720 ? 'TDC, fires' : 'TDC'}</text>
    {#if cycleDeg === 720}
      <text
        class="place second"
        transform="translate({lapPoint(shape, -52, 19).x} {lapPoint(shape, -52, 19).y}) rotate(-52)">compression</text
      >
      <text
        class="place second"
        transform="translate({lapPoint(shape, 52, 19).x} {lapPoint(shape, 52, 19).y}) rotate(52)">power</text
      >
      <text
        class="place second"
        transform="translate({lapPoint(shape, 276, -30).x} {lapPoint(shape, 276, -30).y}) rotate(-84)">exhaust</text
      >
      <text
        class="place second"
        transform="translate({lapPoint(shape, 444, -30).x} {lapPoint(shape, 444, -30).y}) rotate(84)">intake</text
      >
    {/if}
    <text x={shape.cx} y={SIZE.height - 12} class="place second">bottom</text>
    {#if shown !== null}<circle cx={shape.cx} cy={shape.cy} r="5.5" class="hub" />{/if}
  </svg>
  <!-- the way to the target changes with every move of the hand: in a layer of its own the face is not painted with it -->
  <svg class="drawing over way" viewBox="0 0 {SIZE.width} {SIZE.height}" aria-hidden="true">
    {#each arcs as a, k (k)}
      <path d={a.d} class="turn" />
      <path d="M-9 -8 L6 0 L-9 8Z" class="head" transform={a.head} />
      {#each new Set(a.passes) as t (t)}
        {@const p = lapPoint(shape, t)}
        <circle cx={p.x} cy={p.y} r="7" class="passed" />
        <path d="M{p.x - 5} {p.y + 5}L{p.x + 5} {p.y - 5}" class="passed" />
      {/each}
    {/each}
  </svg>
  {#if shown !== null}
    <MovingPart size={SIZE} box={hand} about={hub} motion={handTo(shape, shown)}>
      <line x1={hub.x} x2={hub.x} y1={hub.y} y2={hub.y - HAND} class="pointer" />
    </MovingPart>
    <MovingPart size={SIZE} box={knob} about={hub} motion={knobAt(shape, shown)}>
      <circle cx={hub.x} cy={hub.y} r="8" class="knob" />
    </MovingPart>
    {#if !strokeKnown && cycleDeg === 720}
      <MovingPart size={SIZE} box={knob} about={hub} motion={knobAt(shape, mod(shown + 360, 720))}>
        <circle cx={hub.x} cy={hub.y} r="8" class="knob ghost" />
      </MovingPart>
    {/if}
  {/if}
  {#if cycleDeg === 720}<svg class="drawing over" viewBox="0 0 {SIZE.width} {SIZE.height}" aria-hidden="true"
      ><text x={shape.cx} y={shape.cy - 38} class="place strong second halo">TDC, overlap</text></svg
    >{/if}
</div>

<style>
  .dial {
    position: relative;
    width: 100%;
    /* a view that is read from afar says how large it may be */
    max-width: var(--dial, 324px);
    flex-shrink: 0;
    margin: 0 auto;
  }
  svg {
    max-width: none;
    touch-action: none;
    contain: layout paint;
  }
  .live svg {
    cursor: grab;
  }
  .live svg:active {
    cursor: grabbing;
  }
  .over {
    position: absolute;
    inset: 0;
    pointer-events: none;
  }
  .way {
    will-change: transform;
  }
  .lap {
    fill: none;
    stroke-width: 22;
  }
  .lap.outer {
    stroke: var(--lap-outer);
  }
  .lap.inner {
    stroke: var(--lap-inner);
  }
  .valve {
    fill: none;
    stroke-width: 2.6;
  }
  .valve.exhaust {
    stroke: var(--ink);
  }
  .valve.intake {
    stroke: var(--ink-2);
    stroke-dasharray: 5 3;
  }
  .tick {
    fill: none;
    stroke: var(--ink);
    stroke-width: 0.9;
  }
  .tick.long {
    stroke-width: 1.8;
  }
  .turn {
    fill: none;
    stroke: var(--target);
    stroke-width: 5;
  }
  .head {
    fill: var(--target);
  }
  .passed {
    fill: none;
    stroke: var(--target);
    stroke-width: 2;
  }
  .place {
    font-size: var(--t1);
    text-anchor: middle;
    fill: var(--ink);
  }
  .place.strong {
    font-weight: 680;
  }
  .place.second {
    fill: var(--ink-2);
  }
  .place.halo {
    paint-order: stroke;
    stroke: var(--lap-inner);
    stroke-width: 4px;
  }
  .pointer {
    stroke: var(--ink);
    stroke-width: 2.2;
  }
  .knob {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 3.2;
  }
  .knob.ghost {
    stroke-width: 1.6;
    stroke-dasharray: 3 3;
  }
</style>
