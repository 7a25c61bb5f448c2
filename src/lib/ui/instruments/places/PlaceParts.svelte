<script lang="ts">
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  import { spread } from '../stack/stack-geometry.ts';
  import { inColumn, LEFT, partOf, RIGHT, WIDTH, type PlaceDrawing } from './place.ts';

  /** A place of the trade with the parts that matter now picked out: what is done to each, and what was found. */
  interface Props {
    drawing: PlaceDrawing;
    /** parts by their full name, as the bench calls them */
    names: Readonly<Record<string, string>>;
    /** what is done to a part, by its full name */
    touched: Readonly<Record<string, string | undefined>>;
    /** what was found of a part, and how it was judged where it was */
    found: ReadonlyMap<string, { text: string; state?: VerdictState | null }>;
    /** parts that answer a question when they are touched; left out: none can be */
    answers?: ReadonlySet<string>;
    onpick?: (part: string) => void;
    /** the drawing alone, its parts marked and not named */
    bare?: boolean;
  }
  let { drawing, names, touched, found, answers, onpick, bare = false }: Props = $props();

  const shown = $derived(
    [...new Set([...Object.keys(touched), ...(answers ?? []), ...found.keys()])].flatMap((part) => {
      const at = drawing.at[partOf(part)];
      return at ? [{ part, at, deed: touched[part], hit: found.get(part), name: names[part] ?? partOf(part) }] : [];
    })
  );
  /** px; less, and names beside the drawing could not be read */
  const NARROW = 470;
  /** less than this of a place tells nobody where it is */
  const LEAST = 190;
  const drawn = $derived(new Set(shown.map((s) => partOf(s.part))));
  /** the part of the place that holds what is shown: the rest of it would only make it smaller */
  const crop = $derived.by(() => {
    const ys = shown.map((s) => s.at.y);
    if (bare || drawing.texts || !ys.length || shown.some((s) => s.at.zone)) return { top: 0, height: drawing.height };
    const least = Math.min(drawing.height, Math.max(LEAST, 40 * Math.ceil(shown.length / 2) + 30));
    let [top, foot] = [Math.max(0, Math.min(...ys) - 44), Math.min(drawing.height, Math.max(...ys) + 56)];
    const lack = Math.max(0, least - (foot - top)) / 2;
    [top, foot] = [top - lack, foot + lack];
    if (top < 0) [top, foot] = [0, Math.min(drawing.height, foot - top)];
    if (foot > drawing.height) [top, foot] = [Math.max(0, top - (foot - drawing.height)), drawing.height];
    return { top, height: foot - top };
  });
  const labels = $derived(
    (['left', 'right'] as const).flatMap((side) => {
      const here = shown.filter((s) => s.at.side === side);
      const lines = here.map((s) => inColumn(words(s) ?? ''));
      const ys = spread(
        here.map((s) => s.at.y),
        23 + 15 * Math.max(1, ...lines.map((l) => l.length)),
        crop.top + 16,
        crop.top + crop.height - 8 - 15 * Math.max(1, ...lines.map((l) => l.length))
      );
      return here.map((s, k) => ({ ...s, lines: lines[k]!, y: ys[k]!, x: side === 'left' ? LEFT - 6 : RIGHT + 6 }));
    })
  );
  const mark = { in: '✓ ', out: '× ', unsure: '? ' };
  /** what was found of it, else what is done to it; where its name says it already, nothing */
  function words(s: (typeof shown)[number]): string | undefined {
    const text = s.hit ? (s.hit.state ? mark[s.hit.state] : '') + s.hit.text : s.deed;
    return text === s.name ? undefined : text;
  }
  const said = $derived(shown.map((s) => `${s.name}${words(s) ? `: ${words(s)}` : ''}`).join('; '));
  let width = $state(0);
  function measured(e: HTMLElement) {
    if (typeof ResizeObserver === 'undefined') return;
    const watch = new ResizeObserver(() => (width = e.clientWidth));
    watch.observe(e);
    return () => watch.disconnect();
  }
  /** too narrow for names beside the drawing: they stand below it */
  const alone = $derived(bare || (width > 0 && width < NARROW));
  /** what is told below the drawing, by number: an area that nothing was found in says nothing */
  const told = $derived(shown.filter((s) => !s.at.zone || s.hit));
  const picked = (part: string) => onpick && answers?.has(part);
</script>

<div {@attach measured}>
  <svg
    class="drawing glance"
    class:bare={alone}
    viewBox={alone ? `162 ${crop.top} 236 ${crop.height}` : `0 ${crop.top} ${WIDTH} ${crop.height}`}
    role={onpick && answers?.size ? 'group' : 'img'}
    aria-label="{drawing.title}. {said}"
  >
    <defs>
      <pattern id="place-cut" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V6" class="hatch" />
      </pattern>
    </defs>
    {#each drawing.lines as [cls, d, only], k (k)}
      {#if !only || drawn.has(only)}<path {d} class={cls} />{/if}
    {/each}
    {#each drawing.texts ?? [] as [x, y, text] (text)}<text {x} {y} class="label" text-anchor="middle">{text}</text
      >{/each}
    {#each shown as s (s.part)}
      {#if s.at.zone}
        {#if s.hit}<path d={s.at.zone} class="patch" />{/if}
      {:else}
        <circle cx={s.at.x} cy={s.at.y} r={s.hit ? 6 : 7} class={s.hit ? `found ${s.hit.state ?? ''}` : 'here'} />
      {/if}
    {/each}
    {#if !alone}
      {#each labels as l (l.part)}
        <path d="M{l.x + (l.at.side === 'left' ? 3 : -3)} {l.y - 4}L{l.at.x} {l.at.y}" class="lead" />
        <text x={l.x} y={l.y} class="name {l.at.side === 'left' ? 'end' : 'start'}">{l.name}</text>
        {#each l.lines as text, k (k)}<text
            x={l.x}
            y={l.y + 15 * (k + 1)}
            class="deed {l.at.side === 'left' ? 'end' : 'start'} {l.hit?.state ?? ''}"
            class:hit={l.hit}>{text}</text
          >{/each}
      {/each}
    {/if}
    {#if alone && !bare}
      {#each told as s, k (s.part)}
        <circle cx={s.at.x} cy={s.at.y} r="11" class="here" />
        <text x={s.at.x} y={s.at.y + 5} class="name" text-anchor="middle">{k + 1}</text>
      {/each}
    {/if}
    {#if !bare}
      {#each shown as s (s.part)}
        {#if picked(s.part)}
          <g
            class="pick"
            role="button"
            tabindex="0"
            aria-label="{s.name}: put down what was found"
            aria-pressed={s.at.zone ? !!s.hit : undefined}
            onclick={() => onpick!(s.part)}
            onkeydown={(e) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              onpick!(s.part);
            }}
          >
            {#if s.at.zone}<path d={s.at.zone} class="hit" />{:else}<circle
                cx={s.at.x}
                cy={s.at.y}
                r="22"
                class="hit"
              />{/if}
          </g>
        {/if}
      {/each}
    {/if}
  </svg>
  {#if alone && !bare}
    <ol>
      {#each told as s (s.part)}<li><b>{s.name}</b>{words(s) ? `: ${words(s)}` : ''}</li>{/each}
    </ol>
  {/if}
</div>

<style>
  svg {
    max-width: 580px;
  }
  .bare {
    max-width: 250px;
  }
  ol {
    margin: 6px 0;
    padding-left: 22px;
    list-style: decimal;
    font-size: var(--t2);
  }
  .cut {
    fill: url(#place-cut);
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .dash {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.2;
    stroke-dasharray: 4 4;
  }
  .here {
    fill: var(--sheet);
    stroke: var(--target);
    stroke-width: 3;
  }
  .found.in {
    fill: var(--in);
  }
  .lead {
    stroke: var(--ink-2);
    stroke-width: 1;
  }
  .name {
    font-size: var(--t2);
    font-weight: 680;
    fill: var(--ink);
  }
  .deed {
    font-size: var(--t1);
    fill: var(--ink-2);
  }
  .deed.hit {
    fill: var(--ink);
    font-weight: 600;
  }
  .deed.out {
    fill: var(--out);
  }
  .deed.unsure {
    fill: var(--unsure);
  }
  .deed.in {
    fill: var(--in);
  }
  .end {
    text-anchor: end;
  }
  .hit:not(text) {
    fill: transparent;
    pointer-events: all;
  }
  .pick {
    cursor: pointer;
    outline: none;
  }
  .pick:hover .hit,
  .pick:focus-visible .hit {
    fill: var(--target);
    fill-opacity: 0.16;
    stroke: var(--target);
    stroke-width: 1.6;
  }
</style>
