<script lang="ts">
  import { enhance } from '$app/forms';
  import { unitsOf } from '$core/units/units.ts';
  import Frame from '$lib/ui/primitives/Frame.svelte';

  let { data, form } = $props();
  const sent = $derived((form?.sent ?? {}) as Record<string, string>);
  const groups = $derived([...new Set(data.fields.map((f) => f.group))]);
  /** what nearly every job asks for stands open; the rest is opened when the card in hand has it */
  const FIRST = new Set<string>(['Engine', 'Crank and piston', 'Distributor', 'Timing']);
  const opened = (g: string) =>
    FIRST.has(g) || data.fields.some((f) => f.group === g && (form?.path === f.name || sent[`v.${f.name}`]));
  const unitsFor = (q?: keyof typeof unitsOf): readonly string[] => (q && unitsOf[q].length > 1 ? unitsOf[q] : []);
  const defaultUnit = (q?: keyof typeof unitsOf) => (q === 'length' ? data.prefs.length : q ? unitsOf[q][0] : '');
</script>

<svelte:head><title>New engine · Nemrik</title></svelte:head>
<Frame>
  <main id="main">
    <h1>Enter an engine and what its data sheet says</h1>
    <p class="quiet">Leave out what is not known: a step asks for it when it needs it. Nothing is assumed.</p>
    <form
      method="post"
      use:enhance={() =>
        ({ update }) =>
          update({ reset: false })}
    >
      {#if form?.message}<p class="problem" role="alert">{form.message}</p>{/if}
      <div class="pair">
        <label for="name">Name</label><input
          id="name"
          name="name"
          class="field"
          value={sent.name ?? ''}
          maxlength="80"
          required
          aria-invalid={form?.path === 'name'}
        />
      </div>
      <div class="pair">
        <label for="summary">In a few words</label><input
          id="summary"
          name="summary"
          class="field"
          value={sent.summary ?? ''}
          maxlength="200"
          placeholder="four-cylinder petrol"
        />
      </div>
      <div class="pair">
        <label for="source">Source of the values</label><input
          id="source"
          name="source"
          class="field"
          value={sent.source ?? ''}
          maxlength="200"
          placeholder="works card, plate, measured"
          aria-invalid={form?.path === 'source'}
        />
      </div>
      <div class="groups">
        {#each groups as g (g)}
          <details open={opened(g)}>
            <summary
              >{g}
              <span class="quiet small">{data.fields.filter((f) => f.group === g).length} values</span></summary
            >
            <fieldset>
              <legend class="only-read">{g}</legend>
              {#each data.fields.filter((f) => f.group === g) as f (f.name)}
                <div class="row">
                  <label for="v.{f.name}">{f.label}</label>
                  {#if f.kind === 'choice'}
                    <select id="v.{f.name}" name="v.{f.name}" class="field">
                      <option value=""></option>
                      {#each f.choices! as c (c.id)}<option value={c.id} selected={sent[`v.${f.name}`] === c.id}
                          >{c.label}</option
                        >{/each}
                    </select>
                  {:else}
                    <input
                      id="v.{f.name}"
                      name="v.{f.name}"
                      class="field"
                      value={sent[`v.${f.name}`] ?? ''}
                      placeholder={f.example}
                      autocomplete="off"
                      aria-invalid={form?.path === f.name}
                      aria-describedby={f.help ? `help-${f.name}` : undefined}
                    />
                  {/if}
                  {#if unitsFor(f.quantity).length}
                    <select name="u.{f.name}" class="field" aria-label="Unit of {f.label}">
                      {#each unitsFor(f.quantity) as u (u)}<option
                          value={u}
                          selected={u === (sent[`u.${f.name}`] ?? defaultUnit(f.quantity))}>{u}</option
                        >{/each}
                    </select>
                  {:else if f.quantity === 'angle' || f.quantity === 'timing'}<span class="quiet">°</span>{/if}
                  {#if f.help}<span class="help" id="help-{f.name}">{f.help}</span>{/if}
                </div>
              {/each}
            </fieldset>
          </details>
        {/each}
      </div>
      <button class="button first">Enter the engine</button>
    </form>
  </main>
</Frame>

<style>
  main {
    background: var(--sheet);
    padding: 16px 24px 40px;
  }
  .pair {
    display: grid;
    grid-template-columns: 220px minmax(0, 420px);
    gap: 10px;
    align-items: center;
    margin-top: 8px;
  }
  .groups {
    columns: 2 460px;
    column-gap: 40px;
    margin-top: 18px;
  }
  details {
    break-inside: avoid;
    margin-bottom: 20px;
  }
  summary {
    cursor: pointer;
    min-height: 32px;
    font-weight: 660;
    font-size: 17px;
    font-stretch: 92%;
    width: 100%;
    border-bottom: 1.5px solid var(--ink);
    padding-bottom: 2px;
  }
  .row {
    display: grid;
    grid-template-columns: 1fr 150px 82px;
    gap: 2px 10px;
    align-items: center;
    padding: 3px 0;
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
  [aria-invalid='true'] {
    border-color: var(--out);
    border-width: 2.5px;
  }
  .problem {
    color: var(--out);
    font-weight: 600;
    margin: 10px 0;
  }
  @media (max-width: 620px) {
    .pair,
    .row {
      grid-template-columns: 1fr;
    }
  }
</style>
