<script lang="ts">
  import type { ElementRow } from '$core/domains/elements/elements-work.ts';
  import { onCircle } from './pump-geometry.ts';

  /** The elements round the cam: where each should close, where it does, errors drawn large. */
  let { rows, withinDeg }: { rows: ElementRow[]; withinDeg: number | null } = $props();
  const R = 96;
  const worst = $derived(Math.max(0.3, withinDeg ?? 0, ...rows.map((r) => Math.abs(r.errorDeg ?? 0))));
  const times = $derived(Math.max(1, Math.min(60, Math.floor(22 / worst))));
  const at = (deg: number, r: number) => onCircle(160, 140, r, deg);
</script>

<figure>
  <svg
    class="drawing"
    viewBox="0 0 320 306"
    role="img"
    aria-label="Elements round the cam, errors {times} times larger; the figures stand in the table"
  >
    <circle cx="160" cy="140" r={R} class="thin" />
    <path d="M160 124A16 16 0 1 0 176 140C174 126 168 112 163 110 161 112 160 118 160 124Z" class="body" />
    {#each rows as r (r.element)}
      {@const a = at(r.nominalDeg, R - 14)}{@const b = at(r.nominalDeg, R + 14)}
      <path d="M{a.x} {a.y}L{b.x} {b.y}" class="middle" />
      {#if withinDeg !== null}
        {@const p = at(r.nominalDeg - withinDeg * times, R)}{@const q = at(r.nominalDeg + withinDeg * times, R)}
        <path d="M{p.x} {p.y}A{R} {R} 0 0 1 {q.x} {q.y}" class="within" />
      {/if}
      {#if r.errorDeg !== null}
        {@const f = at(r.nominalDeg + r.errorDeg * times, R)}
        <circle
          cx={f.x}
          cy={f.y}
          r="8"
          class="found"
          class:out={r.verdict?.state === 'out'}
          class:unsure={r.verdict?.state === 'unsure'}
        />
      {/if}
      {@const t = at(r.nominalDeg, R + 32)}
      <text x={t.x} y={t.y + 6} class="number">{r.element}</text>
    {/each}
    <text x="160" y="302" class="label" text-anchor="middle">errors drawn {times} times larger</text>
  </svg>
</figure>

<style>
  figure {
    margin: 0;
  }
</style>
