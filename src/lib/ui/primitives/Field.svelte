<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';

  /* named one by one: an element that takes whatever it is given costs every page the code for all of it */
  type Given = 'id' | 'name' | 'type' | 'placeholder' | 'required' | 'maxlength' | 'inputmode' | 'min' | 'max' | 'step';
  interface Props extends Pick<HTMLInputAttributes, Given | 'aria-invalid' | 'aria-describedby'> {
    /** lines to write on, where what is asked is longer than a word or a figure */
    lines?: number;
    /** what it asks, as it stands above it */
    label: string;
    /** in lighter type after the label */
    hint?: string;
    value?: string | number | null | undefined;
    onpaste?: (e: ClipboardEvent) => void;
    /** another of the options was chosen */
    onchange?: (e: Event & { currentTarget: HTMLSelectElement }) => void;
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
    name,
    type = 'text',
    placeholder,
    required,
    maxlength,
    inputmode,
    min,
    max,
    step,
    onpaste,
    onchange,
    'aria-invalid': invalid,
    'aria-describedby': help
  }: Props = $props();
  const own = $props.id();
  const at = $derived(id ?? own);
</script>

<div class="ask" class:beside class:row>
  <label for={at} class:only-read={unseen}
    >{label}{#if hint}&ensp;<span class="quiet">{hint}</span>{/if}</label
  >
  {#if options}
    <select
      id={at}
      class="field"
      {name}
      {required}
      aria-invalid={invalid}
      aria-describedby={help}
      {onchange}
      bind:value
    >
      {#each options as [v, words] (v)}<option value={v}>{words}</option>{/each}
    </select>
  {:else if lines > 1}
    <textarea
      id={at}
      class="field"
      rows={lines}
      autocomplete="off"
      {name}
      {placeholder}
      {required}
      maxlength={Number(maxlength) || undefined}
      aria-invalid={invalid}
      aria-describedby={help}
      {onpaste}
      bind:value></textarea>
  {:else}
    <input
      id={at}
      class="field"
      autocomplete="off"
      {name}
      {type}
      {placeholder}
      {required}
      {maxlength}
      {inputmode}
      {min}
      {max}
      {step}
      aria-invalid={invalid}
      aria-describedby={help}
      {onpaste}
      value={value ?? ''}
      oninput={(e) => (value = e.currentTarget.value)}
    />
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
