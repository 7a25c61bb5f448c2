<script lang="ts">
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  import type { PartId, Word } from '$core/domains/received/decisions.ts';
  import { lower } from '$core/job/texts.ts';
  import PlaceParts from '../../instruments/places/PlaceParts.svelte';
  import { drawingOf } from '../../instruments/places/places.ts';
  import type { PanelProps } from '../props.ts';

  /** The distributor with what was found so far: each part marked, its finding beside it. */
  let { session, surface }: PanelProps = $props();
  const drawing = drawingOf('distributor')!;
  /** a part that is decided about, where the drawing has it */
  const AT: Record<PartId, string> = {
    shaft: 'shaft',
    platform: 'platform',
    gear: 'gear',
    weights: 'weights',
    capsule: 'capsule',
    plate: 'plate',
    cap: 'cap',
    rotor: 'rotor',
    leads: 'leads'
  };
  const SPEAKS: Record<Word, string> = { use: '✓ keep', remark: '? with a remark', replace: '× replace' };
  const STATE: Record<Word, VerdictState> = { use: 'in', remark: 'unsure', replace: 'out' };
  const parts = $derived(session.state.work.decisions);
  const seen = $derived(parts.filter((p) => p.found !== null));
  const stateOf = (p: (typeof parts)[number]) => (p.proposed ? STATE[p.proposed] : null);
  const found = $derived(
    new Map(seen.map((p) => [`distributor.${AT[p.part]}`, { text: p.found!, state: stateOf(p) }]))
  );
  const names = $derived(Object.fromEntries(seen.map((p) => [`distributor.${AT[p.part]}`, p.name])));
</script>

<figure>
  <PlaceParts {drawing} {names} touched={{}} {found} bare />
  <figcaption>
    {seen.length ? `${seen.length} of ${parts.length} parts looked at` : `None of ${parts.length} parts looked at yet`}
  </figcaption>
</figure>
{#if seen.length && surface !== 'decisions'}
  <ul>
    {#each seen as p (p.part)}
      <li>
        <span>{p.name}: {lower(p.found!)}</span>
        {#if p.proposed}<b class={STATE[p.proposed]}>{SPEAKS[p.proposed]}</b>{/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  figure {
    margin: 4px 0 6px;
  }
  figcaption {
    font-size: var(--t1);
    color: var(--ink-2);
  }
  ul {
    border-top: 1.5px solid var(--ink);
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 8px;
    padding: 4px 0;
    border-bottom: 1px solid var(--rule);
    font-size: var(--t2);
  }
  b {
    font-weight: 650;
    white-space: nowrap;
  }
  .in {
    color: var(--in);
  }
  .out {
    color: var(--out);
  }
  .unsure {
    color: var(--unsure);
  }
</style>
