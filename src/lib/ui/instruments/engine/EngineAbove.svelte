<script lang="ts">
  import { nameOf, stations, type Station } from './stations.ts';

  /** The engine from above: where a hand goes at this step, and what must be so there when it is done. */
  interface Props {
    /** what is done at a station, in the words of its states */
    touched: ReadonlyMap<string, readonly string[]>;
    cylinders: number;
    /** what times its firing, as it is called beside the engine */
    unit: string;
  }
  let { touched, cylinders, unit }: Props = $props();
  const n = $derived(Math.max(1, Math.min(12, cylinders)));
  const bores = $derived(Array.from({ length: n }, (_, k) => 196 + ((k + 0.5) * 280) / n));
  const name = (s: Station) => (s.id === 'unit' ? unit : nameOf(s));
  const said = $derived(
    stations.flatMap((s) => (touched.has(s.id) ? [`${name(s)}: ${touched.get(s.id)!.join(', ')}`] : []))
  );
</script>

<svg
  class="drawing glance"
  viewBox="0 0 640 306"
  role="img"
  aria-label="Engine from above, front at the left. {said.join('; ')}"
>
  <path d="M176 100H484V220H176Z" class="block" />
  <path d="M140 150H176V170H140Z" class="block" /><circle cx="128" cy="160" r="26" class="block" />
  <path d="M484 124H500V196H484Z" class="block" /><circle cx="512" cy="160" r="40" class="block" />
  {#each bores as x (x)}<circle cx={x} cy="146" r={Math.min(20, 110 / n)} class="bore" /><circle
      cx={x}
      cy="116"
      r="4"
      class="bore"
    />{/each}
  {#each stations as s (s.id)}
    {@const here = touched.get(s.id)}
    {#if here}
      <circle cx={s.x} cy={s.y} r="15" class="here" />
      <circle cx={s.x} cy={s.y} r="5" class="dot" />
    {:else}<circle cx={s.x} cy={s.y} r="4" class="other" />{/if}
    <text x={s.x} y={s.y + (here ? 30 : 18)} class={here ? 'name' : 'label'} text-anchor="middle">{name(s)}</text>
  {/each}
  <text x="24" y="164" class="label">front</text>
</svg>
<ul>
  {#each said as s (s)}<li>{s}</li>{/each}
</ul>

<style>
  svg {
    max-width: 620px;
  }
  .block {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.6;
  }
  .bore {
    fill: none;
    stroke: var(--rule);
    stroke-width: 1.6;
  }
  .here {
    fill: var(--sheet);
    stroke: var(--target);
    stroke-width: 3.4;
  }
  .dot {
    fill: var(--target);
  }
  .other {
    fill: var(--rule);
  }
  .label {
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 4px;
  }
  .name {
    font-size: var(--t2);
    font-weight: 680;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 4px;
  }
  ul {
    margin: 4px 0 10px;
    padding-left: 18px;
    font-size: var(--t2);
  }
</style>
