<script lang="ts">
  import type { StockItem } from '$core/job/index.ts';

  interface Put {
    a: string;
    b: string;
    stop: string;
  }
  interface Props {
    springs: StockItem[];
    stops: StockItem[];
    chosen: Put | null;
    onput: (p: Put | null) => void;
    byHand: boolean;
  }
  let { springs, stops, chosen, onput, byHand }: Props = $props();
  const fallback = $derived<Put | null>(
    springs[0] && stops[0] ? { a: springs[0].id, b: (springs[1] ?? springs[0]).id, stop: stops[0].id } : null
  );
  const now = $derived(chosen ?? fallback);
  const spring = (id: string | undefined) => springs.find((s) => s.id === id);
  const stop = $derived(stops.find((s) => s.id === now?.stop));
  /** a stiffer spring is drawn with fewer, thicker turns */
  const coil = (x: number, y: number, s: StockItem | undefined) => {
    const turns = Math.max(5, Math.min(12, Math.round(13 - (s?.rateNPerMm ?? 1) * 2)));
    const step = 70 / turns;
    return `M${x} ${y}h8${Array.from({ length: turns }, () => `l${step / 2} -9l${step / 2} 9`).join('')}h8`;
  };
  const thick = (s: StockItem | undefined) => Math.min(4, 1.4 + (s?.rateNPerMm ?? 1) * 0.6);
  /** the slot in which the stop's pin travels, at its true angle */
  const polar = (deg: number) => ({
    x: 120 + 78 * Math.sin((deg * Math.PI) / 180),
    y: 100 - 78 * Math.cos((deg * Math.PI) / 180)
  });
  const end = $derived(polar(80 + (stop?.deg ?? 20)));
  const slot = $derived(
    `M${polar(80).x.toFixed(1)} ${polar(80).y.toFixed(1)}A78 78 0 0 1 ${end.x.toFixed(1)} ${end.y.toFixed(1)}`
  );
  function put(part: Partial<Put>) {
    if (now) onput({ ...now, ...part });
  }
</script>

{#if now}
  <div class="bench">
    <svg
      viewBox="0 0 240 204"
      role="img"
      aria-label="Advance mechanism with springs {spring(now.a)?.name} and {spring(now.b)?.name} and {stop?.name}"
    >
      <circle cx="120" cy="100" r="92" class="plate" />
      <!-- two weights on their pivots, thrown outwards against the springs -->
      <path d="M52 48C84 22 150 20 186 46L172 66C142 46 96 46 66 68Z" class="weight" />
      <path d="M188 152C156 178 90 180 54 154L68 134C98 154 144 154 174 132Z" class="weight" />
      <circle cx="58" cy="58" r="5" class="pivot" />
      <circle cx="182" cy="142" r="5" class="pivot" />
      <path d={coil(78, 82, spring(now.a))} class="coil" style="stroke-width: {thick(spring(now.a))}" />
      <path d={coil(78, 130, spring(now.b))} class="coil" style="stroke-width: {thick(spring(now.b))}" />
      <circle cx="120" cy="100" r="13" class="weight" />
      <path d={slot} class="slot" />
      <circle cx={end.x} cy={end.y} r="5" class="stop" />
      <text x="120" y="202" class="name">stop at {stop?.deg ?? '…'}°</text>
    </svg>
    <div class="slots">
      <label
        >Spring A <select class="field" value={now.a} onchange={(e) => put({ a: e.currentTarget.value })}
          >{#each springs as s (s.id)}<option value={s.id}>{s.name}, {s.rateNPerMm!.toFixed(2)} N/mm</option
            >{/each}</select
        ></label
      >
      <label
        >Spring B <select class="field" value={now.b} onchange={(e) => put({ b: e.currentTarget.value })}
          >{#each springs as s (s.id)}<option value={s.id}>{s.name}, {s.rateNPerMm!.toFixed(2)} N/mm</option
            >{/each}</select
        ></label
      >
      <label
        >Stop <select class="field" value={now.stop} onchange={(e) => put({ stop: e.currentTarget.value })}
          >{#each stops as s (s.id)}<option value={s.id}>{s.name}, {s.deg}°</option>{/each}</select
        ></label
      >
      {#if byHand}<button class="link" onclick={() => onput(null)}>back to the search’s pick</button>{/if}
    </div>
  </div>
{/if}

<style>
  .bench {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 20px;
    align-items: center;
  }
  svg {
    width: 190px;
    flex: none;
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
  .name {
    font-size: 14px;
    text-anchor: middle;
    fill: var(--ink-2);
  }
  .slots {
    display: grid;
    gap: 6px;
    flex: 1;
    min-width: 220px;
  }
  label {
    display: grid;
    grid-template-columns: 70px 1fr;
    align-items: center;
    gap: 8px;
    font-size: 14px;
    color: var(--ink-2);
  }
</style>
