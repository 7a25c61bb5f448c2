<script lang="ts">
  import { asShown } from '../primitives/as-shown.ts';
  import { photosOf } from '$core/job/photos.ts';
  import { newId } from '../job/new-id.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import { shrunk } from './shrink.ts';

  /** Photographs of a step, and the way to take one. What could not be kept stays here until it is sent or dropped. */
  interface Props {
    session: JobSession;
    stepId: string;
    /** what the run sheet asks to be photographed here */
    views: readonly string[];
  }
  let { session, stepId, views }: Props = $props();
  interface Waiting {
    id: string;
    file: Blob;
    url: string;
    text: string;
    step: string;
    /** why it is not kept yet; null while it is on its way */
    trouble: string | null;
  }
  let waiting = $state.raw<Waiting[]>([]);
  let shows = $state('');
  let file = $state<HTMLInputElement>()!;
  const photos = $derived(photosOf(session.state, stepId));
  const mine = $derived(waiting.filter((w) => w.step === stepId));
  const toTake = $derived(views.filter((v) => ![...photos, ...mine].some((p) => p.text === v)));
  function takeView(view: string) {
    shows = view;
    file.click();
  }
  const at = (id: string) => `/api/jobs/${session.jobId}/photos/${id}`;
  const put = (w: Waiting) => (waiting = [...waiting.filter((x) => x.id !== w.id), w]);
  function drop(w: Waiting) {
    URL.revokeObjectURL(w.url);
    waiting = waiting.filter((x) => x.id !== w.id);
  }

  async function take() {
    const files = [...(file.files ?? [])];
    file.value = '';
    const text = shows.trim();
    shows = '';
    for (const f of files) {
      const w: Waiting = { id: newId(), file: f, url: URL.createObjectURL(f), text, step: stepId, trouble: null };
      put(w);
      try {
        w.file = await shrunk(f);
      } catch {
        put({ ...w, trouble: 'this file is no photograph that can be read here. Take it as JPEG or PNG' });
        continue;
      }
      await send(w);
    }
  }

  async function send(w: Waiting) {
    put({ ...w, trouble: null });
    let trouble: string | null = null;
    try {
      const headers = { 'content-type': w.file.type, ...asShown() };
      const answer = await fetch(at(w.id), { method: 'PUT', headers, body: w.file });
      if (!answer.ok)
        trouble =
          ((await answer.json().catch(() => null)) as { error?: { message: string } } | null)?.error?.message ??
          'the server did not take it';
    } catch {
      trouble = 'the server does not answer';
    }
    const refused = trouble === null ? session.say({ kind: 'photo', photo: w.id, step: w.step, text: w.text }) : null;
    if (refused) trouble = refused.message;
    if (trouble === null) drop(w);
    else put({ ...w, trouble });
  }
  // what is not sent yet is lost with the page: whoever leaves is asked
  function leaving(e: BeforeUnloadEvent) {
    if (waiting.length) e.preventDefault();
  }
</script>

<svelte:window onbeforeunload={leaving} />
<section class="photos" aria-label="Photographs of this step">
  {#if !session.state.closed}
    <div class="take">
      <button class="button" onclick={() => file.click()}>Photograph <kbd>P</kbd></button>
      <label class="only-read" for="photo-shows">What the next photograph shows</label>
      <input id="photo-shows" class="field" maxlength="200" placeholder="what it shows" bind:value={shows} />
      <input
        bind:this={file}
        id="take-photo"
        class="only-read"
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        tabindex="-1"
        aria-label="Take or choose photographs"
        onchange={take}
      />
      {#if toTake.length}<span class="quiet">{photos.length ? 'Still to take' : 'To take'}</span>
        {#each toTake as view (view)}<button class="chip" onclick={() => takeView(view)}>{view}</button>{/each}
      {/if}
    </div>
  {/if}
  {#if photos.length || mine.length}
    <ul>
      {#each photos as p (p.id)}
        <li>
          <a href={at(p.photo)} target="_blank" rel="noopener"
            ><img src={at(p.photo)} alt={p.text || 'photograph'} loading="lazy" /></a
          >
          {#if p.text}<p>{p.text}</p>{/if}
          <p class="quiet small">{p.by.name}</p>
        </li>
      {/each}
      {#each mine as w (w.id)}
        <li>
          <img src={w.url} alt={w.text || 'photograph, not kept yet'} />
          {#if w.trouble}
            <span role="alert"
              ><b>Not kept: {w.trouble}.</b> It is still here.
              <button class="link" onclick={() => send(w)}>Try again</button>
              <button class="link" onclick={() => drop(w)}>Drop it</button></span
            >
          {:else}<span class="quiet small" role="status">being kept …</span>{/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .photos {
    margin: 10px 0;
  }
  .take {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 12px;
    align-items: center;
  }
  .take .field {
    flex: 0 1 190px;
    min-width: 150px;
  }
  .chip {
    min-height: 36px;
    padding: 0 12px;
    border: 1px solid var(--rule);
    background: none;
    color: var(--ink);
    font: inherit;
    cursor: pointer;
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
    gap: 12px;
    margin-top: 10px;
  }
  li {
    font-size: var(--t2);
    min-width: 0;
  }
  img {
    display: block;
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: cover;
    background: var(--paper);
  }
</style>
