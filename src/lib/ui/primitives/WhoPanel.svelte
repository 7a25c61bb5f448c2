<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { page } from '$app/state';
  import { forgetPages } from '../live/kept-pages.ts';
  import Field from './Field.svelte';
  import Panel from './Panel.svelte';

  /** Who works here, and how things are shown to them. */
  let { onclose, onchosen }: { onclose: () => void; onchosen: () => void } = $props();
  let name = $state('');
  let problem = $state('');
  const me = $derived(page.data.person as { id: string; name: string } | null);
  const people = $derived((page.data.people ?? []) as { id: string; name: string; role: string }[]);
  const prefs = $derived(page.data.prefs as { theme: string; length: string; zone: string });
  const zones = $derived([...new Set([prefs.zone, 'UTC', ...Intl.supportedValuesOf('timeZone')])]);

  async function send(url: string, body: object): Promise<boolean> {
    const r = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body)
    }).catch(() => null);
    const answer = r ? await r.json().catch(() => null) : null;
    problem = answer?.ok ? '' : (answer?.error?.message ?? 'The server does not answer. Try again in a moment.');
    if (answer?.ok) await invalidateAll();
    return !!answer?.ok;
  }
  async function choose(body: object) {
    if (await send('/api/person', body)) {
      name = '';
      await forgetPages();
      onchosen();
    }
  }
  async function prefer(body: { theme?: string; length?: string }) {
    if ((await send('/api/prefs', body)) && body.theme) document.documentElement.dataset.theme = body.theme;
  }
</script>

<Panel label="Who is at the bench, and how things are shown" closable={!!me} {onclose}>
  <h2>{me ? 'At this bench' : 'Who is at the bench?'}</h2>
  <p class="quiet small">Every reading is kept with who took it.</p>
  {#if people.length}
    <ul>
      {#each people as p (p.id)}
        <li>
          <button
            class="person"
            class:on={p.id === me?.id}
            aria-pressed={p.id === me?.id}
            onclick={() => choose({ id: p.id })}>{p.name}<span class="quiet">{p.role}</span></button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void choose({ name });
    }}
  >
    <Field label="Another name" bind:value={name} maxlength={80} />
    <button class="button" disabled={!name.trim()}>Work as {name.trim() || '…'}</button>
  </form>
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
  <div class="prefs">
    <Field
      label="Light"
      options={[
        ['system', 'as the system'],
        ['light', 'light'],
        ['dim', 'dim']
      ]}
      bind:value={() => prefs.theme, (theme) => prefer({ theme })}
    />
    <Field
      label="Lengths"
      options={[
        ['mm', 'mm'],
        ['in', 'inch'],
        ['thou', 'thou']
      ]}
      bind:value={() => prefs.length, (length) => prefer({ length })}
    />
  </div>
  <div class="zone">
    <Field
      label="The workshop’s clock"
      options={zones.map((z) => [z, z] as const)}
      bind:value={() => prefs.zone, (zone) => send('/api/workshop', { zone })}
    />
  </div>
</Panel>

<style>
  li {
    border-bottom: 1px solid var(--hair);
  }
  .person {
    display: flex;
    justify-content: space-between;
    width: 100%;
    min-height: 44px;
    align-items: center;
    border: 0;
    background: none;
    padding: 0 8px;
    cursor: pointer;
    text-align: left;
  }
  .person.on {
    font-weight: 650;
    box-shadow: inset 4px 0 0 var(--target);
  }
  form {
    display: grid;
    gap: 6px;
    margin: 12px 0;
  }
  .prefs > :global(*) {
    flex: 1;
  }
  .zone {
    margin-bottom: 12px;
  }
  .prefs {
    display: flex;
    gap: 14px;
    margin-bottom: 12px;
  }
  .problem {
    color: var(--out);
    font-weight: 600;
    margin-bottom: 10px;
  }
</style>
