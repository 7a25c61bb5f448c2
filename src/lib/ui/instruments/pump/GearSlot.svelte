<script lang="ts">
  import { gripped, type Grip } from '../grip.ts';
  import { arc, onCircle } from './pump-geometry.ts';

  /** The pump's gear from its drive end: bolts in their slots, what is left each way, and the turn that is wanted. */
  interface Props {
    /** degrees the shaft is to turn in the gear, earlier above 0; gear degrees */
    wantDeg: number;
    slot: { advance: number; retard: number } | null;
    direction: 'cw' | 'ccw';
    ratio: number;
  }
  let { wantDeg, slot, direction, ratio }: Props = $props();
  /** tried on the drawing, gear degrees, earlier above 0; null: as it is wanted */
  let tried = $state<number | null>(null);
  const shown = $derived(tried ?? wantDeg);
  const sign = $derived(direction === 'cw' ? 1 : -1);
  /** small angles are drawn larger, and it is said how much */
  const room = $derived(Math.max(Math.abs(wantDeg), slot ? Math.max(slot.advance, slot.retard) : 0, 0.5));
  const times = $derived(Math.max(1, Math.floor(24 / room)));
  const drawn = $derived(sign * shown * times);
  const bolts = [0, 120, 240];
  const past = $derived(slot !== null && (shown > slot.advance + 1e-9 || -shown > slot.retard + 1e-9));
  let held = 0;
  const grip: Grip = {
    take: () => void (held = shown),
    drag: (at, from) => (tried = clamp(held + (sign * (at.x - from.x)) / times / 1.6)),
    step: (by) =>
      (tried = clamp(Number.isFinite(by) ? shown + 0.05 * by : by > 0 ? (slot?.advance ?? 5) : -(slot?.retard ?? 5)))
  };
  const clamp = (d: number) => Math.max(-2 * room, Math.min(2 * room, Math.round(d * 100) / 100));
  const run = $derived(onCircle(150, 132, 128, sign * 20));
  const tip = $derived(onCircle(150, 132, 44, drawn));
  const crank = $derived(Math.abs(shown) / ratio);
  const says = $derived(
    `${Math.abs(shown).toFixed(2)}° of the gear, ${crank.toFixed(2)}° of the crank ${shown >= 0 ? 'earlier' : 'later'}${past ? ', beyond the slot' : ''}`
  );
  const teeth = Array.from({ length: 30 }, (_, k) => k * 12);
</script>

<figure>
  <svg class="drawing" viewBox="0 0 300 270" role="group" aria-label="Pump gear from the drive end, {says}">
    {#each teeth as t (t)}{@const a = onCircle(150, 132, 118, t)}{@const b = onCircle(150, 132, 108, t)}<path
        d="M{a.x} {a.y}L{b.x} {b.y}"
        class="line"
      />{/each}
    <circle cx="150" cy="132" r="110" class="gear" />
    {#each bolts as b (b)}
      {#if slot}
        <path d={arc(150, 132, 70, b - sign * slot.retard * times, b + sign * slot.advance * times)} class="slot" />
      {:else}<path d={arc(150, 132, 70, b - 24, b + 24)} class="slot unknown" />{/if}
    {/each}
    <g
      class="grip"
      role="slider"
      tabindex="0"
      aria-label="Turn the shaft in its gear on the drawing"
      aria-valuemin={Math.round(-2 * room)}
      aria-valuemax={Math.round(2 * room)}
      aria-valuenow={shown}
      aria-valuetext={says}
      {@attach gripped(() => grip)}
    >
      <circle cx="150" cy="132" r="96" class="hit" />
      {#each bolts as b (b)}{@const at = onCircle(150, 132, 70, b)}{@const to = onCircle(150, 132, 70, b + drawn)}
        <circle cx={at.x} cy={at.y} r="9" class="was" />
        <circle cx={to.x} cy={to.y} r="9" class="bolt" class:past />
      {/each}
      <circle cx="150" cy="132" r="26" class="body" />
    </g>
    {#if Math.abs(drawn) > 1}<path d={arc(150, 132, 44, 0, drawn)} class="way" /><circle
        cx={tip.x}
        cy={tip.y}
        r="5"
        class="tip"
      />{/if}
    <path d={arc(150, 132, 128, -sign * 20, sign * 20)} class="line" />
    <circle cx={run.x} cy={run.y} r="3.5" class="hub" />
    <text x="150" y="262" class="label" text-anchor="middle">drive end; angles drawn {times} times larger</text>
  </svg>
  <figcaption>
    <b
      >{Math.abs(shown).toFixed(2)}° of the gear = {crank.toFixed(2)}° of the crank {shown >= 0
        ? 'earlier'
        : 'later'}</b
    >
    {#if slot}<span class="quiet"
        >the slot has {slot.advance}° towards earlier, {slot.retard}° towards later{past
          ? ': this is beyond it'
          : ''}</span
      >{:else}<span class="quiet">what the slot has left is not on the data sheet</span>{/if}
    {#if tried !== null}<button class="link" onclick={() => (tried = null)}>Back to the turn that is wanted</button
      >{/if}
  </figcaption>
</figure>

<style>
  figure {
    margin: 0;
  }
  figcaption {
    display: grid;
    gap: 2px;
    font-size: var(--t2);
    justify-items: start;
  }
  .slot {
    fill: none;
    stroke: var(--hair);
    stroke-width: 22;
    stroke-linecap: round;
  }
  .unknown {
    stroke-dasharray: 2 10;
  }
  .was {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.4;
    stroke-dasharray: 3 3;
  }
  .bolt {
    fill: var(--ink);
  }
  .past {
    fill: var(--out);
  }
  .hit {
    fill: transparent;
  }
  .grip {
    cursor: grab;
    touch-action: none;
  }
  .way {
    fill: none;
    stroke: var(--target);
    stroke-width: 3;
  }
  .tip {
    fill: var(--target);
  }
</style>
