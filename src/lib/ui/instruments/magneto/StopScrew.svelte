<script lang="ts">
  /** The timing arm against its stop screw: what was read, and how far the screw has to go. */
  interface Props {
    readings: readonly { turns: number; btdc: number }[];
    turnsFromLast: number | null;
    target: number | null;
  }
  let { readings, turnsFromLast, target }: Props = $props();
  const last = $derived(readings.at(-1) ?? null);
  const go = $derived(Math.max(-40, Math.min(40, (turnsFromLast ?? 0) * 14)));
  const all = $derived(readings.map((r) => r.btdc).concat(target === null ? [] : [target]));
  const low = $derived(Math.min(...all, 0) - 1);
  const high = $derived(Math.max(...all, 10) + 1);
  const y = (btdc: number) => 150 - (130 * (btdc - low)) / (high - low);
</script>

<svg
  class="drawing"
  viewBox="0 0 330 180"
  role="img"
  aria-label="Stop screw{turnsFromLast === null
    ? ''
    : `, ${Math.abs(turnsFromLast).toFixed(1)} turns ${turnsFromLast > 0 ? 'on' : 'back'} to go`}"
>
  <path d="M30 20V156H150" class="line" />
  {#each readings as r, k (k)}<circle cx={50 + 26 * k} cy={y(r.btdc)} r="6" class="hub" /><text
      x={50 + 26 * k}
      y="172"
      class="label"
      text-anchor="middle">{r.turns}</text
    >{/each}
  {#if target !== null}<path d="M30 {y(target)}H150" class="middle" /><text x="34" y={y(target) - 5} class="label"
      >{target}° wanted</text
    >{/if}
  <!-- the screw in its boss, the arm before it -->
  <path d="M238 66H316V114H238Z" class="body" />
  <path d="M{196 - go} 82H292V98H{196 - go}Z" class="body" />
  {#each Array.from({ length: 6 }, (_, k) => 210 + 14 * k) as x (x)}<path d="M{x} 82l6 16" class="thin" />{/each}
  <path d="M178 40L{190 - go} 90L178 140" class="arm" />
  {#if turnsFromLast !== null && Math.abs(go) > 1}<path
      d="M210 130h{go > 0 ? -26 : 26}m{go > 0 ? 8 : -8} -6l{go > 0 ? -8 : 8} 6l{go > 0 ? 8 : -8} 6"
      class="way"
    />{/if}
  <text x="262" y="134" class="label" text-anchor="middle">{last === null ? '' : `stands at ${last.turns} turns`}</text>
</svg>

<style>
  svg {
    max-width: 420px;
  }
  .arm {
    fill: none;
    stroke: var(--ink);
    stroke-width: 6;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .way {
    fill: none;
    stroke: var(--target);
    stroke-width: 2.6;
  }
</style>
