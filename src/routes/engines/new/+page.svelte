<script lang="ts">
  import AsShown from '$lib/ui/primitives/AsShown.svelte';
  import { enhance } from '$app/forms';
  import SheetField from '$lib/ui/engine/SheetField.svelte';
  import Field from '$lib/ui/primitives/Field.svelte';
  import Frame from '$lib/ui/primitives/Frame.svelte';

  let { data, form } = $props();
  const sent = $derived((form?.sent ?? {}) as Record<string, string>);
  const groups = $derived([...new Set(data.fields.map((f) => f.group))]);
  /** what nearly every job asks for stands open; the rest is opened when the card in hand has it */
  const FIRST = new Set<string>(['Engine', 'Crank and piston', 'Distributor', 'Timing']);
  const opened = (g: string) =>
    FIRST.has(g) || data.fields.some((f) => f.group === g && (form?.path === f.name || sent[`v.${f.name}`]));
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
      <AsShown />
      {#if form?.message}<p class="problem" role="alert">{form.message}</p>{/if}
      <div class="head">
        <Field
          label="Name"
          name="name"
          value={sent.name}
          maxlength={80}
          required
          aria-invalid={form?.path === 'name'}
        />
        <Field
          label="In a few words"
          name="summary"
          value={sent.summary}
          maxlength={200}
          placeholder="four-cylinder petrol"
        />
        <Field
          label="Source of the values"
          name="source"
          value={sent.source}
          maxlength={200}
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
                <SheetField
                  field={f}
                  name="v.{f.name}"
                  unitName="u.{f.name}"
                  length={data.prefs.length}
                  value={sent[`v.${f.name}`]}
                  unit={sent[`u.${f.name}`]}
                  wrong={form?.path === f.name}
                />
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
  .head {
    display: grid;
    gap: 8px;
    max-width: 640px;
    margin-top: 10px;
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
    font-size: var(--t4);
    font-stretch: 92%;
    width: 100%;
    border-bottom: 1.5px solid var(--ink);
    padding-bottom: 2px;
  }
  .problem {
    color: var(--out);
    font-weight: 600;
    margin: 10px 0;
  }
</style>
