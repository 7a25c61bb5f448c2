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
  function put(part: Partial<Put>) {
    if (now) onput({ ...now, ...part });
  }
</script>

{#if now}
  <div class="bench">
    <svg
      viewBox="0 0 300 120"
      role="img"
      aria-label="Advance mechanism with springs {spring(now.a)?.name} and {spring(now.b)?.name} and {stop?.name}"
    >
      <circle cx="64" cy="60" r="26" class="weight" />
      <circle cx="236" cy="60" r="26" class="weight" />
      <circle cx="150" cy="60" r="20" class="cam" />
      <path d={coil(106, 24, spring(now.a))} class="coil" style="stroke-width: {thick(spring(now.a))}" />
      <path d={coil(106, 106, spring(now.b))} class="coil" style="stroke-width: {thick(spring(now.b))}" />
      <path d="M150 60l0 -20" class="cam" />
      <path
        d="M{150 + 34 * Math.sin(((stop?.deg ?? 20) * Math.PI) / 180)} {60 -
          34 * Math.cos(((stop?.deg ?? 20) * Math.PI) / 180)}l10 -4"
        class="stop"
      />
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
    width: 210px;
    flex: none;
  }
  .weight,
  .cam {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .coil {
    fill: none;
    stroke: var(--ink);
  }
  .stop {
    stroke: var(--target);
    stroke-width: 5;
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
