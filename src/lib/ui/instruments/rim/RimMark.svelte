<script lang="ts">
  import { fixed } from '$core/units/format.ts';

  /** The rim under its pointer with the crank at true TDC: how far off its mark stands, and how surely. */
  interface Props {
    /** early above 0: the mark has passed the pointer already; null while it is not known */
    errorDeg: number | null;
    /** one standard uncertainty of it */
    uDeg: number;
    /** the rim's top moves to the right as it runs, seen from where one looks; null: nobody knows */
    runsRight: boolean | null;
    /** from which end one looks */
    view: 'front' | 'rear';
    /** what the mark is called */
    name: string;
  }
  let { errorDeg, uDeg, runsRight, view, name }: Props = $props();

  const [X, Y, R] = [280, 560, 470];
  const width = $derived(Math.max(6, Math.abs(errorDeg ?? 0) + 2 * uDeg + 2));
  const perDeg = $derived(200 / width);
  const span = $derived(Math.floor(width));
  /** a mark that is early lies on ahead, where the rim runs to */
  const ahead = $derived(runsRight === false ? -1 : 1);
  function at(deg: number, r: number) {
    const a = (deg * perDeg) / R;
    return { x: X + r * Math.sin(a), y: Y - r * Math.cos(a) };
  }
  const arc = (from: number, to: number, r: number) => {
    const [a, b] = [at(from, r), at(to, r)];
    return `M${a.x} ${a.y}A${r} ${r} 0 0 1 ${b.x} ${b.y}`;
  };
  const ticks = $derived(Array.from({ length: 2 * span + 1 }, (_, k) => k - span));
  const place = $derived(errorDeg === null || runsRight === null ? null : ahead * errorDeg);
  const side = $derived(errorDeg === null ? '' : errorDeg > 0 ? 'early' : errorDeg < 0 ? 'late' : '');
  const says = $derived(
    errorDeg === null
      ? `${name}: not measured against true TDC yet`
      : `${name} ${fixed(Math.abs(errorDeg), 2)}° ${side}, ± ${fixed(2 * uDeg, 2)}°`
  );
  const label = $derived(place === null ? null : at(place, R - 62));
</script>

<svg class="drawing" viewBox="0 0 560 222" role="img" aria-label="Rim under its pointer, crank at true TDC. {says}">
  <path d={arc(-width - 1, width + 1, R)} class="line" />
  <path d={arc(-width - 1, width + 1, R - 34)} class="thin" />
  {#each ticks as t (t)}
    {@const a = at(t, R)}{@const b = at(t, R - (t % 5 === 0 ? 16 : 9))}
    <path d="M{a.x} {a.y}L{b.x} {b.y}" class="thin" />
  {/each}
  <path d="M280 84L270 36H290Z" class="body" />
  <text x="280" y="26" class="label mid">pointer, crank at true TDC</text>
  {#if place !== null && label}
    {@const m = at(place, R)}{@const n = at(place, R - 40)}
    <path d={arc(place - 2 * uDeg, place + 2 * uDeg, R - 48)} class="doubt" />
    <path d="M{m.x} {m.y}L{n.x} {n.y}" class="mark" />
    <text x={label.x} y={label.y + 14} class="figure mid">{says}</text>
  {:else if errorDeg === null}
    <text x="280" y="168" class="label mid">where its mark stands follows once true TDC is found</text>
  {:else}
    <text x="280" y="168" class="label mid">on which side it stands follows from the running direction</text>
  {/if}
  {#if runsRight !== null}
    <path d="M{280 - ahead * 50} 188H{280 + ahead * 50}m{-ahead * 9} -6l{ahead * 9} 6 {-ahead * 9} 6" class="runs" />
    <text x="280" y="214" class="label mid">runs this way, seen from the {view}</text>
  {/if}
</svg>

<style>
  svg {
    max-width: 560px;
  }
  .mid {
    text-anchor: middle;
  }
  .mark {
    stroke: var(--ink);
    stroke-width: 5;
  }
  .doubt {
    fill: none;
    stroke: var(--unsure);
    stroke-opacity: 0.55;
    stroke-width: 10;
  }
  .runs {
    fill: none;
    stroke: var(--target);
    stroke-width: 2.4;
  }
  .figure {
    font-size: var(--t2);
    font-weight: 680;
    fill: var(--ink);
  }
  /* as narrow as a phone it is drawn two thirds as large, and its words are still read */
  @media (max-width: 620px) {
    .label,
    .figure {
      font-size: calc(var(--t2) * 1.4);
    }
  }
</style>
