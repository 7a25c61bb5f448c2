<script lang="ts">
  import type { Field } from '$core/engine/fields.ts';
  import { unitSign, unitsOf, type Unit } from '$core/units/units.ts';
  import Ask from '../primitives/Field.svelte';

  interface Props {
    /** the value of the data sheet that is asked for */
    field: Field;
    name?: string;
    unitName?: string;
    /** the reader's unit of length, offered first */
    length: Unit;
    value?: string | undefined;
    unit?: string | undefined;
    wrong?: boolean;
    /** label above and not beside, so that several stand in one line */
    stacked?: boolean;
  }
  let {
    field,
    name,
    unitName,
    length,
    value = $bindable(''),
    unit = $bindable(undefined),
    wrong = false,
    stacked = false
  }: Props = $props();
  const units = $derived<readonly Unit[]>(field.quantity ? unitsOf[field.quantity] : []);
  const inUse = $derived(unit ?? (field.quantity === 'length' ? length : units[0]));
  const help = $props.id();
  const table = $derived(field.kind === 'pairs' || field.kind === 'band');
  /** A table is pasted in lines, and a line has no room for them: each becomes a point. */
  function pasted(e: ClipboardEvent) {
    const text = e.clipboardData?.getData('text') ?? '';
    if (!table || !/[\r\n]/.test(text.trim())) return;
    e.preventDefault();
    value = text
      .trim()
      .split(/\r?\n/)
      .map((l) => l.trim())
      .filter((l) => l !== '')
      .join('; ');
  }
  let told = $state('');
  /** The points of a file, put on the line to be looked at before they are entered. */
  async function fromFile(e: Event & { currentTarget: HTMLInputElement }) {
    const [file] = e.currentTarget.files ?? [];
    e.currentTarget.value = '';
    if (!file) return;
    const { tableFromFile } = await import('./table-file.ts');
    const t = tableFromFile(await file.text(), field.kind === 'band' ? 3 : 2);
    if (t.ok) {
      value = t.text;
      const lines = t.passed === 1 ? 'line' : 'lines';
      told = `${t.points} points from ${file.name}${t.passed ? `, ${t.passed} ${lines} without figures passed over` : ''}: look at them, then enter.`;
    } else told = t.message;
  }
</script>

<div class="row" class:wrong class:table class:stacked>
  <Ask
    label={field.label}
    {name}
    row
    lines={table ? 3 : 1}
    bind:value
    options={field.kind === 'choice'
      ? [['', 'choose'], ...field.choices!.map((c) => [c.id, c.label] as const)]
      : undefined}
    placeholder={field.example}
    onpaste={pasted}
    aria-invalid={wrong}
    aria-describedby={field.help ? help : undefined}
  />
  {#if units.length > 1}
    <Ask
      label="Unit of {field.label}"
      unseen
      row
      name={unitName}
      options={units.map((u) => [u, u] as const)}
      bind:value={() => inUse, (u) => (unit = String(u))}
    />
  {:else if units[0]}<span class="quiet">{unitSign[units[0]]}</span>{/if}
  {#if table}
    <label class="button file"
      >Take from a file<input
        class="only-read"
        type="file"
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        aria-label="{field.label}: from a file"
        onchange={fromFile}
      />
    </label>
    {#if told}<span class="help" role="status">{told}</span>{/if}
  {/if}
  {#if field.help}<span id={help} class="help">{field.help}</span>{/if}
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: 1fr minmax(0, 180px) 84px;
    gap: 2px 10px;
    align-items: center;
    padding: 3px 0;
    border-bottom: 1px solid var(--hair);
  }
  .row :global(.field) {
    width: 100%;
  }
  /* points need room to be looked at before they are entered */
  .table :global(.ask > label),
  .table :global(.ask > .field) {
    grid-column: 1 / -1;
  }
  .table :global(textarea) {
    padding: 8px 10px;
    resize: vertical;
  }
  .file {
    position: relative;
    justify-self: start;
  }
  .file:focus-within {
    outline: 3px solid var(--predicted);
    outline-offset: 2px;
  }
  .help {
    grid-column: 1 / -1;
    font-size: var(--t1);
    color: var(--ink-2);
  }
  .stacked {
    grid-template-columns: minmax(0, 1fr) auto;
    border: 0;
  }
  .stacked.table {
    grid-column: 1 / -1;
  }
  .stacked > :global(.ask > label:not(.only-read)) {
    grid-column: 1 / -1;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .wrong :global([aria-invalid='true']) {
    border-color: var(--out);
    border-width: 2.5px;
  }
  @media (max-width: 520px) {
    .row {
      grid-template-columns: 1fr 84px;
    }
    .row > :global(label:not(.only-read)) {
      grid-column: 1 / -1;
    }
  }
</style>
