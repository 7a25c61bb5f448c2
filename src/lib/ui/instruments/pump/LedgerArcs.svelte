<script lang="ts">
  import { gripped, type Grip } from '../grip.ts';
  import { arc, onCircle } from './pump-geometry.ts';

  /** The two terms of the ledger as arcs before TDC that must add up to the timing wanted. */
  interface Props {
    lockBtdc: number | null;
    offsetBtdc: number | null;
    targetBtdc: number | null;
    withinDeg: number | null;
    /** the offset was moved on the drawing: it goes onto the line, to be logged or dropped */
    onoffset?: ((btdc: number) => void) | undefined;
  }
  let { lockBtdc, offsetBtdc, targetBtdc, withinDeg, onoffset }: Props = $props();
  let tried = $state<number | null>(null);
  const offset = $derived(tried ?? offsetBtdc ?? 0);
  const lock = $derived(lockBtdc ?? 0);
  const most = $derived(Math.max(10, (targetBtdc ?? 0) * 1.25, (lock + offset) * 1.15));
  /** degrees drawn for a degree of the crank */
  const scale = $derived(150 / most);
  const [X, Y, R] = [170, 196, 140];
  const at = (btdc: number, r = R) => onCircle(X, Y, r, -btdc * scale + 75);
  const sweep = (from: number, to: number, r = R) => arc(X, Y, r, -from * scale + 75, -to * scale + 75);
  const total = $derived(lock + offset);
  const short = $derived(targetBtdc === null ? null : targetBtdc - total);
  const o = $derived(at(lock + offset / 2, R - 34));
  const end = $derived(at(total));
  let held = 0;
  const grip: Grip = {
    take: () => void (held = offset),
    drag: (p, from) => (tried = clamp(held - (p.x - from.x) / scale / 2.4)),
    drop: (whole) => {
      if (whole && tried !== null) onoffset?.(tried);
      else tried = null;
    },
    step: (by) => {
      if (!Number.isFinite(by)) return;
      tried = clamp(offset + 0.1 * by);
      onoffset?.(tried);
    }
  };
  const clamp = (d: number) => Math.max(-10, Math.min(40, Math.round(d * 10) / 10));
  const marks = $derived(Array.from({ length: Math.floor(most / 5) + 1 }, (_, k) => 5 * k));
  const open = $derived([
    ...(lockBtdc === null ? ['the pump’s setting'] : []),
    ...(offsetBtdc === null && tried === null ? ['the offset of its gear'] : [])
  ]);
  const says = $derived(
    open.length
      ? `still to come: ${open.join(' and ')}`
      : `${offset.toFixed(1)}° of offset, together ${total.toFixed(2)}° before TDC`
  );
</script>

<figure>
  <svg class="drawing" viewBox="-14 0 368 236" role="group" aria-label="Ledger: pump setting and gear offset, {says}">
    {#each marks as m (m)}{@const a = at(m, R + 8)}{@const b = at(m, R + 16)}{@const t = at(m, R + 30)}
      <path d="M{a.x} {a.y}L{b.x} {b.y}" class="thin" /><text x={t.x} y={t.y + 4} class="label" text-anchor="middle"
        >{m}°</text
      >
    {/each}
    <path d={sweep(0, most, R + 8)} class="thin" />
    {#if lockBtdc !== null}<path d={sweep(0, lock)} class="lock" />{@const l = at(lock / 2, R - 44)}<text
        x={l.x}
        y={l.y}
        class="value"
        text-anchor="middle">pump {lock}°</text
      >{/if}
    <path d={sweep(lock, total)} class="offset" />
    {#if offsetBtdc !== null || tried !== null}<text x={o.x} y={o.y} class="value" text-anchor="middle"
        >gear {offset.toFixed(1)}°</text
      >{/if}
    {#if targetBtdc !== null}
      {@const a = at(targetBtdc, R - 18)}{@const b = at(targetBtdc, R + 20)}
      {#if withinDeg !== null}<path d={sweep(targetBtdc - withinDeg, targetBtdc + withinDeg, R)} class="within" />{/if}
      <path d="M{a.x} {a.y}L{b.x} {b.y}" class="want" />
    {/if}
    <g
      class="grip"
      role="slider"
      tabindex="0"
      aria-label="Move the gear’s offset on the drawing"
      aria-valuemin="-10"
      aria-valuemax="40"
      aria-valuenow={offset}
      aria-valuetext={says}
      {@attach gripped(() => (onoffset ? grip : null))}
    >
      <circle cx={end.x} cy={end.y} r="20" class="hit" />
      <circle cx={end.x} cy={end.y} r="9" class="target" />
    </g>
    <circle cx={X} cy={Y} r="5" class="hub" />
    <path d="M{X} {Y}L{at(0).x} {at(0).y}" class="thin" />
    <text x={at(0).x + 6} y={at(0).y + 20} class="label end">TDC</text>
  </svg>
  <figcaption>
    {#if open.length}Still to come: {open.join(' and ')}.{:else}
      {lock}° + {offset.toFixed(1)}° = <b>{total.toFixed(2)}° before TDC</b>{#if short !== null},
        {Math.abs(short) < 0.05
          ? 'as wanted'
          : `${Math.abs(short).toFixed(2)}° ${short > 0 ? 'short of' : 'beyond'} the ${targetBtdc}° wanted`}{/if}.{/if}
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
    font-size: var(--t3);
  }
  .lock,
  .offset,
  .within {
    fill: none;
    stroke-width: 15;
  }
  .lock {
    stroke: var(--ink);
  }
  .offset {
    stroke: var(--target);
    stroke-opacity: 0.75;
  }
  .within {
    stroke: var(--in);
    stroke-opacity: 0.35;
    stroke-width: 30;
  }
  .want {
    stroke: var(--in);
    stroke-width: 3;
  }
  .hit {
    fill: transparent;
  }
  .grip {
    cursor: grab;
    touch-action: none;
  }
</style>
