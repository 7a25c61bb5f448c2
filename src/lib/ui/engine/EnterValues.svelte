<script lang="ts">
  import { asShown } from '../primitives/as-shown.ts';
  import type { Field as SheetValue } from '$core/engine/fields.ts';
  import { unitsOf } from '$core/units/units.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';

  import Field from '../primitives/Field.svelte';
  import SheetField from './SheetField.svelte';

  interface Props {
    engineId: string;
    /** the values asked for, with all that the data sheet says of them */
    fields: SheetValue[];
    prefs: Prefs;
    source?: string;
    /** several in a line, where a drawing stands below */
    stacked?: boolean;
    onentered: () => void;
  }
  let { engineId, fields, prefs, source: firstSource = '', stacked = false, onentered }: Props = $props();

  let given = $state<Record<string, string>>({});
  let units = $state<Record<string, string | undefined>>({});
  // svelte-ignore state_referenced_locally
  let source = $state(firstSource);
  let problem = $state<{ path: string; message: string } | null>(null);
  let sending = $state(false);
  const unitOf = (f: SheetValue) =>
    units[f.name] ?? (f.quantity === 'length' ? prefs.length : f.quantity ? unitsOf[f.quantity][0] : null);

  async function enter(e: SubmitEvent) {
    e.preventDefault();
    const values = fields
      .filter((f) => (given[f.name] ?? '').trim() !== '')
      .map((f) => ({ name: f.name, given: given[f.name]!, unit: unitOf(f), source }));
    if (values.length === 0) return;
    sending = true;
    const r = await fetch(`/api/engines/${engineId}/values`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...asShown() },
      body: JSON.stringify({ values })
    }).catch(() => null);
    const answer = await r?.json().catch(() => null);
    sending = false;
    if (answer?.ok) {
      problem = null;
      given = {};
      onentered();
    } else
      problem = answer?.error ?? {
        path: '',
        message: 'The server does not answer. What you typed stays here: try again.'
      };
  }
</script>

<form class:stacked onsubmit={enter}>
  {#each fields as f (f.name)}
    <SheetField
      field={f}
      length={prefs.length}
      bind:value={() => given[f.name] ?? '', (v) => (given[f.name] = v)}
      bind:unit={units[f.name]}
      wrong={problem?.path === f.name}
      {stacked}
    />
  {/each}
  <div class="from">
    <Field
      label="Where it comes from"
      bind:value={source}
      placeholder="works card, plate, measured"
      maxlength={200}
      required
    />
  </div>
  {#if problem}<p class="problem" role="alert">{problem.message}</p>{/if}
  <button class="button first" disabled={sending}>{sending ? 'Entering …' : 'Enter'}</button>
</form>

<style>
  form {
    max-width: 560px;
  }
  .stacked {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
    gap: 2px 18px;
    align-items: end;
    max-width: none;
    margin-bottom: 10px;
  }
  .stacked .problem {
    grid-column: 1 / -1;
  }
  .stacked .button {
    justify-self: start;
  }
  .from {
    margin-top: 8px;
  }
  .problem {
    color: var(--out);
    font-weight: 600;
    margin: 10px 0 0;
  }
  .button {
    margin-top: 12px;
  }
</style>
