<script lang="ts">
  import type { FuelWay } from '$core/domains/bleeding/fuel-way.ts';
  import { SCREWS } from '$core/domains/bleeding/fuel-way.ts';

  /** The fuel's way from tank to cylinders: what is bled is filled, what is not is empty. */
  let { way, small = false }: { way: FuelWay; small?: boolean } = $props();
  const screws = $derived(way.lowDone ? SCREWS : Math.min(SCREWS, new Set(way.screws).size));
  const n = $derived(way.lines.length);
  const lineX = (k: number) => 330 + ((k + 0.5) * 250) / Math.max(1, n);
  const low = [
    { x: 120, label: 'filter in' },
    { x: 190, label: 'filter out' },
    { x: 262, label: 'pump' }
  ];
  const solid = $derived(way.lines.filter((l) => l.solid).map((l) => l.cylinder));
</script>

<svg
  class="drawing"
  class:small
  viewBox="0 0 600 200"
  role="img"
  aria-label="The fuel’s way: {screws} of {SCREWS} bleed screws clear, lines solid at {solid.length
    ? solid.join(', ')
    : 'none'} of {n}"
>
  <path d="M14 60H74V130H14Z" class="body" /><path d="M14 84H74V130H14Z" class="fuel" />
  {#if !small}<text x="44" y="150" class="label" text-anchor="middle">tank</text>{/if}
  <path d="M74 110H104" class="pipe" class:full={true} />
  <path d="M104 86H206V134H104Z" class="body" />{#if screws > 0}<path
      d="M106 100H{screws > 1 ? 204 : 154}V132H106Z"
      class="fuel"
    />{/if}
  <path d="M206 110H244" class="pipe" class:full={screws > 1} />
  <path d="M244 74H318V146H244Z" class="body" />{#if screws > 2}<path d="M246 92H316V144H246Z" class="fuel" />{/if}
  {#each low as s, k (s.label)}
    <path d="M{s.x} {k === 2 ? 74 : 86}v-12" class="line" />
    <circle cx={s.x} cy={k === 2 ? 58 : 70} r="6" class="screw" class:clear={screws > k} />
    {#if !small}<text x={s.x} y={k === 2 ? 44 : 56} class="label" text-anchor="middle">{k + 1} {s.label}</text>{/if}
  {/each}
  {#each way.lines as l, k (l.cylinder)}
    <path d="M{318} {84 + (k * 50) / Math.max(1, n - 1)}H{lineX(k)}V164" class="pipe" class:full={l.solid} />
    <circle cx={lineX(k)} cy="172" r="12" class="screw" class:clear={l.solid} />
    <text x={lineX(k)} y="177" class="cylinder" class:clear={l.solid}>{l.cylinder}</text>
  {/each}
</svg>

<style>
  svg {
    max-width: 760px;
  }
  svg.small {
    max-width: 100%;
  }
  .fuel {
    fill: var(--target);
    fill-opacity: 0.28;
  }
  .pipe {
    fill: none;
    stroke: var(--rule);
    stroke-width: 5;
  }
  .pipe.full {
    stroke: var(--target);
  }
  .screw {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .screw.clear {
    fill: var(--target);
    stroke: var(--target);
  }
  .cylinder {
    font-size: var(--t2);
    font-weight: 680;
    text-anchor: middle;
    fill: var(--ink);
  }
  .cylinder.clear {
    fill: var(--sheet);
  }
</style>
