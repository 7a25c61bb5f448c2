<script lang="ts">
  import Caution from '../job/Caution.svelte';
  import type { JobSession } from '../job/session.svelte.ts';
  import type { Waiting } from '../job/waiting.ts';

  /** What the server would not take: what was typed and why not, to be put back on the line or dropped on purpose. */
  let { session, onagain }: { session: JobSession; onagain: (w: Waiting) => void } = $props();
  const typed = (w: Waiting) => ('text' in w.input ? w.input.text : null);
  const stepOf = (w: Waiting) => {
    const id = 'step' in w.input ? w.input.step : undefined;
    return session.sheet.steps.find((s) => s.id === id)?.title;
  };
  const names: Partial<Record<Waiting['input']['kind'], string>> = {
    done: 'The mark that it is done',
    reopen: 'The mark that it is open again',
    take: 'The taking of parts',
    target: 'The target',
    choose: 'The way chosen',
    sign: 'The sign',
    undo: 'The undoing'
  };
  const what = (w: Waiting) => {
    const [text, step] = [typed(w), stepOf(w)];
    return `${text === null ? (names[w.input.kind] ?? 'What was said') : `\u201c${text}\u201d`}${step ? ` for \u201c${step}\u201d` : ''}`;
  };
</script>

{#each session.outbox.setAside as w (w.input.id)}
  <Caution role="alert">
    <b>{what(w)} was not taken.</b>
    {w.refused!.message} It stays here until you drop it.
    {#if typed(w) !== null}<button class="link" onclick={() => onagain(w)}>Put it back on the line</button>{/if}
    <button class="link" onclick={() => session.outbox.drop(w)}>Drop it</button>
  </Caution>
{/each}
