<script lang="ts">
  import { gripped, type Grip } from '../grip.ts';
  import { dialHands, liftAlong, onCircle, type ChartPoint } from './pump-geometry.ts';

  /** An element of the pump in section: cam, plunger and the dial on it. The cam is turned by dragging or with the arrows. */
  interface Props {
    points: readonly ChartPoint[];
    /** the lift that was measured, mm; null: none yet, the drawing shows the wanted one */
    liftMm: number | null;
    wantedMm: number | null;
    perRevMm: number;
    /** how a length is written */
    text: (mm: number) => string;
    /** smaller, beside the work */
    small?: boolean;
  }
  let { points, liftMm, wantedMm, perRevMm, text, small = false }: Props = $props();

  const span = $derived(points.length < 2 ? 10 : Math.abs(points.at(-1)!.btdc - points[0]!.btdc));
  /** the crank past the chart's least lift, as it is turned on the drawing; null: as measured */
  let tried = $state<number | null>(null);
  const LEAST = -14;
  const most = $derived(span + 6);
  const placeOf = (mm: number): number => {
    let [low, high] = [LEAST, most];
    for (let k = 0; k < 40; k++) {
      const middle = (low + high) / 2;
      if (liftAlong(points, middle).mm < mm) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const resting = $derived(liftMm ?? wantedMm);
  const along = $derived(tried ?? (resting === null ? LEAST : placeOf(resting)));
  const shown = $derived(tried === null && resting !== null ? { mm: resting, known: true } : liftAlong(points, along));
  const hands = $derived(dialHands(shown.mm, perRevMm));
  const rise = $derived(Math.min(46, shown.mm * 11));
  const camDeg = $derived((along - LEAST) * 2.2 - 70);
  /** nothing was read and no chart is known: then no lift is written either */
  const empty = $derived(points.length < 2 && resting === null);
  const says = $derived(
    empty ? 'no lift known yet' : `${text(shown.mm)} of lift, ${hands.turns} whole turns of the dial`
  );
  const grip: Grip = {
    drag: (at, from) => turn((at.x - from.x) / 6),
    take: () => void (held = along),
    step: (by) => {
      held = along;
      turn(Number.isFinite(by) ? by : by < 0 ? -100 : 100);
    }
  };
  let held = 0;
  const turn = (by: number) => points.length > 1 && (tried = Math.max(LEAST, Math.min(most, held + by)));
  const ticks = Array.from({ length: 20 }, (_, k) => k * 18);
  const pointer = $derived(onCircle(130, 62, 46, hands.pointerDeg));
  const little = $derived(onCircle(130, 84, 10, hands.smallDeg));
  const roller = $derived(214 - rise);
</script>

<figure>
  <svg
    class="drawing"
    class:small
    viewBox="-50 0 310 330"
    role="group"
    aria-label="Pump element in section with its dial"
  >
    <!-- the dial -->
    <circle cx="130" cy="62" r="56" class="body" />
    {#each ticks as t, k (t)}
      {@const a = onCircle(130, 62, 53, t)}
      {@const b = onCircle(130, 62, k % 5 === 0 ? 44 : 48, t)}
      <path d="M{a.x} {a.y}L{b.x} {b.y}" class="thin" />
    {/each}
    <circle cx="130" cy="84" r="13" class="thin" />
    <path d="M130 84L{little.x} {little.y}" class="line" />
    <path d="M130 62L{pointer.x} {pointer.y}" class="needle" />
    <circle cx="130" cy="62" r="4" class="hub" />
    <!-- stem, plunger, barrel -->
    <path d="M130 118V{146 - rise}" class="line" />
    <path d="M98 126H118V200H98ZM142 126H162V200H142Z" class="body" />
    <rect x="119" y={146 - rise} width="22" height="54" class="plunger" />
    <path d="M118 {200 - rise}H142M112 {206 - rise}H148" class="line" />
    {#if wantedMm !== null}
      {@const y = 146 - Math.min(46, wantedMm * 11)}
      <path d="M84 {y}H116" class="middle" />
      <text x="80" y={y + 4} class="label end">{text(wantedMm)} wanted</text>
    {/if}
    <path d="M144 {146 - rise}H170" class="line" />
    {#if !empty}<text x="174" y={150 - rise} class="value">{text(shown.mm)}</text>{/if}
    <!-- roller and cam -->
    <circle cx="130" cy={roller} r="10" class="body" />
    <g
      class="grip"
      role="slider"
      tabindex="0"
      aria-label="Turn the cam on the drawing"
      aria-valuemin={LEAST}
      aria-valuemax={Math.round(most)}
      aria-valuenow={Math.round(along)}
      aria-valuetext={says}
      {@attach gripped(() => grip)}
    >
      <circle cx="130" cy="268" r="60" class="hit" />
      <g transform="rotate({camDeg} 130 268)">
        <path d="M130 224A44 44 0 1 0 174 268C172 236 160 206 144 202 138 200 132 212 130 224Z" class="cam" />
      </g>
      <circle cx="130" cy="268" r="44" class="base" />
      <circle cx="130" cy="268" r="6" class="hub" />
      <path d="M104 300A40 40 0 0 0 156 300m-9 -1 9 1 -1 9" class="arrow" />
    </g>
  </svg>
  <figcaption>
    {#if tried !== null}As tried on the drawing{shown.known ? '' : ', beyond the chart: drawn, not known'}.
      <button class="link" onclick={() => (tried = null)}
        >Back to what was {liftMm === null ? 'wanted' : 'measured'}</button
      >
    {:else if liftMm !== null}Lift as measured. Turn the cam to see the dial rise.
    {:else if wantedMm !== null}The lift that is wanted. Turn the cam to see the dial rise.
    {:else}No chart yet.{/if}
  </figcaption>
</figure>

<style>
  figure {
    margin: 0;
  }
  svg {
    max-width: 280px;
  }
  svg.small {
    max-width: 220px;
  }
  figcaption {
    font-size: var(--t2);
    color: var(--ink-2);
    max-width: 34ch;
  }
  .needle {
    stroke: var(--target);
    stroke-width: 3;
  }
  .plunger {
    fill: var(--hair);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .cam {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2.2;
  }
  .base {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.2;
    stroke-dasharray: 3 4;
    pointer-events: none;
  }
  .hit {
    fill: transparent;
  }
  .grip {
    cursor: grab;
    touch-action: none;
  }
  .arrow {
    fill: none;
    stroke: var(--target);
    stroke-width: 2;
  }
</style>
