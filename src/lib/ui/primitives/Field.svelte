<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';

  interface Props extends Omit<HTMLInputAttributes, 'value'> {
    /** lines to write on, where what is asked is longer than a word or a figure */
    lines?: number;
    /** what it asks, as it stands above it */
    label: string;
    /** in lighter type after the label */
    hint?: string;
    value?: string | number | null | undefined;
    /** the choices, as [value, words]: with them it is a list to choose from */
    options?: readonly (readonly [value: string, words: string])[] | undefined;
    /** the label beside the field and not above it */
    beside?: boolean;
    /** label and field as two cells of a row of the grid around them */
    row?: boolean;
    /** the label only for those who have it read to them */
    unseen?: boolean;
  }
  let {
    label,
    hint = '',
    value = $bindable(),
    options,
    beside = false,
    row = false,
    unseen = false,
    lines = 1,
    id,
    ...rest
  }: Props = $props();
  const own = $props.id();
  const at = $derived(id ?? own);
</script>

<div class="ask" class:beside class:row>
  <label for={at} class:only-read={unseen}
    >{label}{#if hint}&ensp;<span class="quiet">{hint}</span>{/if}</label
  >
  {#if options}
    <!-- eslint-disable-next-line @typescript-eslint/no-explicit-any -- what a list takes is a part of what a field takes -->
    <select id={at} class="field" bind:value {...rest as any}>
      {#each options as [v, words] (v)}<option value={v}>{words}</option>{/each}
    </select>
  {:else if lines > 1}
    <!-- eslint-disable-next-line @typescript-eslint/no-explicit-any -- as above, for lines to write on -->
    <textarea id={at} class="field" rows={lines} autocomplete="off" bind:value {...rest as any}></textarea>
  {:else}
    <input id={at} class="field" autocomplete="off" bind:value {...rest} />
  {/if}
</div>

<style>
  .ask {
    display: grid;
    gap: 2px;
    min-width: 0;
  }
  .beside {
    grid-template-columns: auto minmax(0, 1fr);
    gap: 8px;
    align-items: center;
  }
  .row {
    display: contents;
  }
  .row label {
    font-size: var(--t3);
    color: var(--ink);
  }
  .ask:not(.row) label {
    font-size: var(--t2);
    color: var(--ink-2);
  }
</style>
