<script lang="ts">
  import AsShown from '$lib/ui/primitives/AsShown.svelte';
  import { enhance } from '$app/forms';
  import { goto } from '$app/navigation';
  import { dateText } from '$lib/reader/dates.ts';
  import Field from '$lib/ui/primitives/Field.svelte';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  let { data, form } = $props();
  /** about an hour; half an hour; two and a half hours */
  const about = (minutes: number) => {
    const halves = Math.max(1, Math.round(minutes / 30));
    return halves === 1 ? 'about half an hour' : halves === 2 ? 'about 1 hour' : `about ${halves / 2} hours`;
  };
  const offered = $derived(data.sheets.filter((s) => s.fits !== false));
  const others = $derived(data.sheets.filter((s) => s.fits === false));
  const sent = $derived((form?.sent ?? {}) as Record<string, string>);
  let picked = $state<string | null>(null);
  const brought = $derived(data.after?.brings[picked ?? sent.sheet ?? data.asked ?? ''] ?? []);
</script>

<svelte:head><title>New job · Nemrik</title></svelte:head>
<Frame>
  <main id="main">
    <h1>Open a job</h1>
    {#if data.engines.length === 0}
      <p class="lead">There is no engine yet. <a class="button first" href="/engines/new">Enter an engine</a></p>
    {:else}
      <form method="post" use:enhance>
        <AsShown />
        <Field
          label="On which engine"
          name="engine"
          required
          options={data.engines.map((e) => [e.id, `${e.name}${e.summary ? `, ${e.summary}` : ''}`] as const)}
          value={sent.engine ?? data.chosen}
          onchange={(e) =>
            goto(`/jobs/new?engine=${encodeURIComponent(e.currentTarget.value)}`, { keepFocus: true, noScroll: true })}
        />
        <fieldset>
          <legend>What is to be done</legend>
          <div class="sheets">
            {#each offered as s (s.id)}{@render choice(s)}{/each}
          </div>
          {#if others.length}
            <details>
              <summary>Not for this engine: {others.length}</summary>
              <div class="sheets">
                {#each others as s (s.id)}{@render choice(s)}{/each}
              </div>
            </details>
          {/if}
        </fieldset>
        {#if data.after && brought.length}
          <fieldset data-testid="brought">
            <legend>Goes with it from “{data.after.title}”, {dateText(data.after.at, data.prefs)}</legend>
            <ul>
              {#each brought as b (b)}<li>{b}</li>{/each}
            </ul>
            <label class="with"
              ><input type="checkbox" name="after" value={data.after.id} checked /> take these over; each keeps its gauge
              and who read it, and can be amended. No step is done by it.</label
            >
          </fieldset>
        {/if}
        <Field label="Promised for" hint="(may stay open)" name="promised" type="date" value={sent.promised} />
        {#if form?.message}<p class="problem" role="alert">{form.message}</p>{/if}
        <button class="button first">Open the job</button>
      </form>
    {/if}
  </main>
</Frame>

{#snippet choice(s: (typeof data.sheets)[number])}
  <label class="choice"
    ><input
      type="radio"
      name="sheet"
      value={s.id}
      required
      checked={(sent.sheet ?? data.asked) === s.id}
      onchange={() => (picked = s.id)}
    />
    <span
      ><b>{s.title}</b><br /><span class="quiet small"
        >{s.steps} steps, {about(s.minutes)} with access made{#if s.because}<br />{s.because}{/if}{#if s.caution}<br
          /><b class="caution">{s.caution}</b>{/if}</span
      ></span
    ></label
  >
{/snippet}

<style>
  main {
    background: var(--sheet);
    padding: 18px 24px;
  }
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
    max-width: 980px;
    margin-top: 14px;
  }
  form > :global(.ask) {
    max-width: 480px;
  }
  .sheets {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(380px, 100%), 1fr));
    column-gap: 32px;
  }
  fieldset {
    margin-top: 10px;
  }
  summary {
    min-height: 44px;
    display: flex;
    align-items: center;
    cursor: pointer;
    color: var(--ink-2);
  }
  .choice {
    display: flex;
    gap: 12px;
    align-items: center;
    min-height: 56px;
    padding: 6px 0;
    border-bottom: 1px solid var(--hair);
  }
  .choice input {
    width: 20px;
    height: 20px;
    accent-color: var(--ink);
  }
  .with {
    display: flex;
    gap: 12px;
    align-items: center;
    min-height: 44px;
  }
  .with input {
    width: 20px;
    height: 20px;
    flex: none;
    accent-color: var(--ink);
  }
  .caution {
    color: var(--ink);
  }
  .problem {
    color: var(--out);
    font-weight: 600;
  }
  .button {
    margin-top: 14px;
    justify-self: start;
  }
  .lead {
    margin-top: 16px;
  }
</style>
