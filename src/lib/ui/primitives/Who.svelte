<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { page } from '$app/state';

  let open = $state(false);
  let name = $state('');
  let problem = $state('');
  const me = $derived(page.data.person as { id: string; name: string } | null);
  const people = $derived((page.data.people ?? []) as { id: string; name: string; role: string }[]);
  const prefs = $derived(page.data.prefs as { theme: string; length: string; zone: string });
  const zones = $derived(
    open ? [...new Set([prefs.zone, 'UTC', ...Intl.supportedValuesOf('timeZone')])] : [prefs.zone]
  );
  // nobody chosen yet: the first thing to settle
  $effect(() => {
    if (!me && page.data.people) open = true;
  });

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
      open = false;
      name = '';
    }
  }
  async function prefer(body: { theme?: string; length?: string }) {
    if ((await send('/api/prefs', body)) && body.theme) document.documentElement.dataset.theme = body.theme;
  }
  function key(e: KeyboardEvent) {
    if (e.key === 'Escape' && me) open = false;
  }
</script>

<div class="who">
  <button class="me" aria-expanded={open} aria-haspopup="dialog" onclick={() => (open = !open)}
    >{me?.name ?? 'Who is at the bench?'}</button
  >
  {#if open}
    <div
      class="panel"
      role="dialog"
      aria-label="Who is at the bench, and how things are shown"
      tabindex="-1"
      onkeydown={key}
    >
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
        <label for="new-name">Another name</label>
        <input id="new-name" class="field" bind:value={name} maxlength="80" autocomplete="off" />
        <button class="button" disabled={!name.trim()}>Work as {name.trim() || '…'}</button>
      </form>
      {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
      <div class="prefs">
        <label
          >Light <select class="field" value={prefs.theme} onchange={(e) => prefer({ theme: e.currentTarget.value })}>
            <option value="system">as the system</option><option value="light">light</option><option value="dim"
              >dim</option
            >
          </select></label
        >
        <label
          >Lengths <select
            class="field"
            value={prefs.length}
            onchange={(e) => prefer({ length: e.currentTarget.value })}
          >
            <option value="mm">mm</option><option value="in">inch</option><option value="thou">thou</option>
          </select></label
        >
      </div>
      <label class="zone"
        >The workshop’s clock <select
          class="field"
          value={prefs.zone}
          onchange={(e) => send('/api/workshop', { zone: e.currentTarget.value })}
        >
          {#each zones as z (z)}<option value={z}>{z}</option>{/each}
        </select></label
      >
      {#if me}<button class="button" onclick={() => (open = false)}>Close</button>{/if}
    </div>
  {/if}
</div>

<style>
  .who {
    margin-left: auto;
    position: relative;
    flex-shrink: 0;
  }
  .me {
    min-height: 43px;
    padding: 0 4px;
    border: 0;
    background: none;
    color: var(--ink-2);
    font-size: 14px;
    cursor: pointer;
    text-decoration: underline;
    text-decoration-color: var(--rule);
    text-underline-offset: 4px;
  }
  .panel {
    position: absolute;
    right: -18px;
    top: 44px;
    z-index: 6;
    width: min(320px, 100vw);
    max-height: calc(100vh - 60px);
    overflow: auto;
    padding: 14px 18px 18px;
    background: var(--sheet);
    border: 1.5px solid var(--ink);
  }
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
  .prefs {
    display: flex;
    gap: 14px;
    margin-bottom: 12px;
  }
  .prefs label {
    display: grid;
    gap: 4px;
    font-size: 13.5px;
    flex: 1;
  }
  .problem {
    color: var(--out);
    font-weight: 600;
    margin-bottom: 10px;
  }
</style>
