<script lang="ts">
  import type { Field } from '$core/engine/fields.ts';
  import { unitsOf } from '$core/units/units.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';

  interface Props {
    engineId: string;
    /** the values asked for, with all that the data sheet says of them */
    fields: Field[];
    prefs: Prefs;
    source?: string;
    onentered: () => void;
  }
  let { engineId, fields, prefs, source: firstSource = '', onentered }: Props = $props();

  const fieldOf = (name: string) => fields.find((f) => f.name === name);
  let given = $state<Record<string, string>>({});
  let units = $state<Record<string, string>>({});
  // svelte-ignore state_referenced_locally
  let source = $state(firstSource);
  let problem = $state<{ path: string; message: string } | null>(null);
  let sending = $state(false);
  const unitsFor = (name: string): readonly string[] => {
    const q = fieldOf(name)?.quantity;
    return q && unitsOf[q].length > 1 ? unitsOf[q] : [];
  };
  const unitOf = (name: string) =>
    units[name] ?? (fieldOf(name)?.quantity === 'length' ? prefs.length : (unitsFor(name)[0] ?? null));

  async function enter(e: SubmitEvent) {
    e.preventDefault();
    const values = fields
      .filter((f) => (given[f.name] ?? '').trim() !== '')
      .map((f) => ({ name: f.name, given: given[f.name]!, unit: unitOf(f.name), source }));
    if (values.length === 0) return;
    sending = true;
    const r = await fetch(`/api/engines/${engineId}/values`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
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

<form onsubmit={enter}>
  {#each fields as f (f.name)}
    <div class="row">
      <label for="value-{f.name}">{f.label}</label>
      {#if f.kind === 'choice'}
        <select id="value-{f.name}" class="field" bind:value={given[f.name]}>
          <option value="">choose</option>
          {#each f.choices! as c (c.id)}<option value={c.id}>{c.label}</option>{/each}
        </select>
      {:else}
        <input
          id="value-{f.name}"
          class="field"
          bind:value={given[f.name]}
          placeholder={f.example}
          autocomplete="off"
          aria-invalid={problem?.path === f.name}
          aria-describedby={f.help ? `help-${f.name}` : undefined}
        />
      {/if}
      {#if unitsFor(f.name).length}
        <select
          class="field unit"
          aria-label="Unit of {f.label}"
          value={unitOf(f.name)}
          onchange={(e) => (units = { ...units, [f.name]: e.currentTarget.value })}
        >
          {#each unitsFor(f.name) as u (u)}<option value={u}>{u}</option>{/each}
        </select>
      {/if}
      {#if f.help}<span id="help-{f.name}" class="help">{f.help}</span>{/if}
    </div>
  {/each}
  <div class="row">
    <label for="value-source">Where it comes from</label>
    <input
      id="value-source"
      class="field"
      bind:value={source}
      placeholder="works card, plate, measured"
      maxlength="200"
      required
      autocomplete="off"
    />
  </div>
  {#if problem}<p class="problem" role="alert">{problem.message}</p>{/if}
  <button class="button first" disabled={sending}>{sending ? 'Entering …' : 'Enter'}</button>
</form>

<style>
  form {
    max-width: 560px;
  }
  .row {
    display: grid;
    grid-template-columns: 1fr 200px 84px;
    gap: 4px 10px;
    align-items: center;
    padding: 4px 0;
    border-bottom: 1px solid var(--hair);
  }
  .row .field {
    width: 100%;
  }
  .help {
    grid-column: 1 / -1;
    font-size: 13px;
    color: var(--ink-2);
  }
  .problem {
    color: var(--out);
    font-weight: 600;
    margin: 10px 0 0;
  }
  .button {
    margin-top: 12px;
  }
  @media (max-width: 520px) {
    .row {
      grid-template-columns: 1fr 84px;
    }
    .row label {
      grid-column: 1 / -1;
    }
  }
</style>
