<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { StockItem } from '$core/tray/part-kinds.ts';
  import Field from '../../primitives/Field.svelte';
  import { gripped, type Grip } from '../grip.ts';
  import { along, coil, inOrder, nearestStop, PULL_STEP, slotDegAt, slotPoint, type Put } from './springs-geometry.ts';

  /** Two springs and the stop in the advance mechanism. Each is pulled through the tray, turned with the arrows, or named. */
  interface Props {
    springs: StockItem[];
    stops: StockItem[];
    chosen: Put | null;
    onput: (p: Put | null) => void;
    byHand: boolean;
    /** take what was put in by hand */
    ontake?: (() => void) | undefined;
    /** what is said of the springs put in by hand */
    children?: Snippet;
  }
  let { springs, stops, chosen, onput, byHand, ontake, children }: Props = $props();
  const places = ['a', 'b'] as const;
  const soft = $derived(inOrder(springs));
  const short = $derived(inOrder(stops));
  const fallback = $derived<Put | null>(
    soft[0] && short[0] ? { a: soft[0].id, b: (soft[1] ?? soft[0]).id, stop: short[0].id } : null
  );
  const now = $derived(chosen ?? fallback);
  const spring = (id: string | undefined) => springs.find((s) => s.id === id);
  const stop = $derived(stops.find((s) => s.id === now?.stop));
  const end = $derived(slotPoint(stop?.deg ?? 20));
  const from = slotPoint(0);
  const says = (s: StockItem | undefined) => (s ? `${s.name}, ${s.rateNPerMm!.toFixed(2)} N/mm` : 'none');
  const stopSays = $derived(stop ? `${stop.name}, ${stop.deg}°` : 'none');

  function put(part: Partial<Put>) {
    if (now && Object.entries(part).some(([k, id]) => now[k as keyof Put] !== id)) onput({ ...now, ...part });
  }
  let taken = '';
  const grip = (what: 'a' | 'b' | 'stop'): Grip => ({
    take: () => void (taken = now![what]),
    drag: (p, from) => {
      if (what === 'stop') put({ stop: nearestStop(stops, slotDegAt(p))?.id ?? now!.stop });
      else put({ [what]: along(soft, taken, Math.round((p.x - from.x) / PULL_STEP)) });
    },
    step: (by) => {
      const list = what === 'stop' ? short : soft;
      put({ [what]: along(list, now![what], Math.max(-list.length, Math.min(list.length, by))) });
    }
  });
</script>

{#if now}
  <div class="bench">
    <svg
      class="drawing"
      viewBox="24 4 192 196"
      role="group"
      aria-label="Advance mechanism with springs {spring(now.a)?.name} and {spring(now.b)?.name} and {stop?.name}"
    >
      <circle cx="120" cy="100" r="92" class="plate" />
      <!-- two weights on their pivots, thrown outwards against the springs -->
      <path d="M52 48C84 22 150 20 186 46L172 66C142 46 96 46 66 68Z" class="weight" />
      <path d="M188 152C156 178 90 180 54 154L68 134C98 154 144 154 174 132Z" class="weight" />
      <circle cx="58" cy="58" r="5" class="pivot" />
      <circle cx="182" cy="142" r="5" class="pivot" />
      <circle cx="120" cy="104" r="13" class="weight" />
      {#each places as what (what)}
        {@const s = spring(now[what])}
        {@const y = what === 'a' ? 83 : 129}
        {@const drawn = coil(76, y, s?.rateNPerMm ?? 1)}
        <g
          class="grip"
          role="slider"
          tabindex="0"
          aria-label="Spring {what.toUpperCase()} on the drawing"
          aria-valuemin={soft[0]?.rateNPerMm ?? 0}
          aria-valuemax={soft.at(-1)?.rateNPerMm ?? 0}
          aria-valuenow={s?.rateNPerMm ?? 0}
          aria-valuetext={says(s)}
          {@attach gripped(() => grip(what))}
        >
          <rect x="70" y={y - 22} width="98" height="32" rx="4" class="hit" />
          <path d={drawn.path} class="coil" style="stroke-width: {drawn.thick}" />
        </g>
      {/each}
      <path
        d="M{from.x.toFixed(1)} {from.y.toFixed(1)}A78 78 0 0 1 {end.x.toFixed(1)} {end.y.toFixed(1)}"
        class="slot"
      />
      <g
        class="grip"
        role="slider"
        tabindex="0"
        aria-label="Stop on the drawing"
        aria-valuemin={short[0]?.deg ?? 0}
        aria-valuemax={short.at(-1)?.deg ?? 0}
        aria-valuenow={stop?.deg ?? 0}
        aria-valuetext={stopSays}
        {@attach gripped(() => grip('stop'))}
      >
        <circle cx={end.x} cy={end.y} r="14" class="hit" />
        <circle cx={end.x} cy={end.y} r="5.5" class="stop" />
      </g>
    </svg>
    <div class="slots">
      {#each places as what (what)}
        <Field
          label="Spring {what.toUpperCase()}"
          options={soft.map((s) => [s.id, says(s)] as const)}
          bind:value={() => now[what], (v) => put({ [what]: String(v) })}
        />
      {/each}
      <Field
        label="Stop"
        options={short.map((s) => [s.id, `${s.name}, ${s.deg}°`] as const)}
        bind:value={() => now.stop, (v) => put({ stop: String(v) })}
      />
    </div>
    <div class="says">
      {@render children?.()}
      {#if byHand}
        <div class="hand">
          {#if ontake}<button class="button" onclick={ontake}>Take these</button>{/if}
          <button class="link" onclick={() => onput(null)}>back to the search’s pick</button>
        </div>
      {/if}
      <p>Pull a spring to the right for a stiffer one of the tray, the stop along its slot; arrow keys do the same.</p>
    </div>
  </div>
{/if}

<style>
  .bench {
    display: grid;
    grid-template: 'drawing slots' auto 'says says' auto / minmax(150px, 0.9fr) minmax(160px, 1fr);
    gap: 6px 16px;
    align-items: center;
  }
  svg {
    grid-area: drawing;
    width: 100%;
    max-width: 220px;
  }
  .plate {
    fill: none;
    stroke: var(--rule);
    stroke-width: 1.6;
  }
  .weight {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .pivot {
    fill: var(--ink);
  }
  .grip {
    cursor: grab;
    touch-action: none;
  }
  .hit {
    fill: var(--sheet);
    fill-opacity: 0.01;
  }
  .grip:hover .hit {
    stroke: var(--target);
    stroke-width: 1.4;
    stroke-dasharray: 3 3;
  }
  .coil {
    fill: none;
    stroke: var(--ink);
  }
  .slot {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 3;
  }
  .stop {
    fill: var(--target);
  }
  .slots {
    grid-area: slots;
    display: grid;
    gap: 4px;
  }
  .says {
    grid-area: says;
    display: grid;
    gap: 6px;
  }
  p {
    margin: 0;
    font-size: var(--t1);
    color: var(--ink-2);
  }
  .hand {
    display: flex;
    gap: 14px;
    align-items: center;
  }
</style>
