<script lang="ts">
  import type { MarkRow } from '$core/domains/flywheel/flywheel-work.ts';
  import { onCircle } from '../pump/pump-geometry.ts';

  /** The flywheel with every cylinder's mark: where it must lie, where it lies, errors drawn large. */
  let { rows, withinDeg }: { rows: MarkRow[]; withinDeg: number | null } = $props();
  const R = 100;
  const worst = $derived(Math.max(0.5, withinDeg ?? 0, ...rows.map((r) => Math.abs(r.errorDeg ?? 0))));
  const times = $derived(Math.max(1, Math.min(40, Math.floor(20 / worst))));
  const at = (deg: number, r: number) => onCircle(165, 150, r, deg);
  const teeth = Array.from({ length: 72 }, (_, k) => k * 5);
</script>

<svg
  class="drawing"
  viewBox="0 0 330 322"
  role="img"
  aria-label="Flywheel with the marks of every cylinder, errors {times} times larger; the figures stand in the table"
>
  {#each teeth as t (t)}{@const a = at(t, R + 20)}{@const b = at(t, R + 13)}<path
      d="M{a.x} {a.y}L{b.x} {b.y}"
      class="thin"
    />{/each}
  <circle cx="165" cy="150" r={R} class="gear" />
  {#each rows as r (r.cylinder)}
    {@const a = at(r.expectedDeg, R - 16)}{@const b = at(r.expectedDeg, R + 10)}
    <path d="M{a.x} {a.y}L{b.x} {b.y}" class="middle" />
    {#if withinDeg !== null}
      {@const p = at(r.expectedDeg - withinDeg * times, R)}{@const q = at(r.expectedDeg + withinDeg * times, R)}
      <path d="M{p.x} {p.y}A{R} {R} 0 0 1 {q.x} {q.y}" class="within" />
    {/if}
    {#if r.found}
      {@const f = at(r.expectedDeg + (r.errorDeg ?? 0) * times, R)}
      <rect
        x={f.x - 6}
        y={f.y - 6}
        width="12"
        height="12"
        class="found"
        class:out={r.verdict?.state === 'out'}
        class:unsure={r.verdict?.state === 'unsure'}
      />
    {/if}
    {@const t = at(r.expectedDeg, R + 38)}
    <text x={t.x} y={t.y + 6} class="number">{r.cylinder}</text>
  {/each}
  <circle cx="165" cy="150" r="10" class="hub" />
  <text x="165" y="317" class="label" text-anchor="middle">errors drawn {times} times larger</text>
</svg>
