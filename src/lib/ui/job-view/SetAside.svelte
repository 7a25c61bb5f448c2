<script lang="ts">
  import Caution from '../job/Caution.svelte';
  import { save } from '../primitives/save.ts';
  import { asFile } from '../unsent/as-file.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import type { Waiting } from '../unsent/waiting.ts';

  /** What the server would not take: what was typed and why not, to be put back on the line or dropped on purpose. */
  let { session, onagain }: { session: JobSession; onagain: (w: Waiting) => void } = $props();
  const me = $derived(session.me?.id);
  /** what was said together stands as one */
  const shown = $derived.by(() => {
    const all = session.outbox.setAside;
    return all
      .filter((w, k) => !w.group || all.findIndex((x) => x.group === w.group) === k)
      .map((w) => ({ w, n: w.group ? all.filter((x) => x.group === w.group).length : 1 }));
  });
  const saveAll = () =>
    save(
      `not-taken-${session.jobId.slice(0, 6)}.json`,
      'application/json',
      asFile(session.jobId, session.outbox.setAside)
    );
  const typed = ({ input }: Waiting): string | null => {
    for (const field of ['text', 'seen', 'reason', 'note'] as const) {
      const said = (input as Partial<Record<typeof field, string>>)[field];
      if (said !== undefined) return said;
    }
    return null;
  };
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

{#each shown as { w, n } (w.input.id)}
  <Caution role="alert">
    <b>{n > 1 ? `${n} figures brought in together were not taken, none of them.` : `${what(w)} was not taken.`}</b>
    {w.refused!.message}
    {w.shown.by.id === me ? '' : `It was typed by ${w.shown.by.name}.`} It stays here until you drop it.
    {#if n === 1 && 'text' in w.input}<button class="link" onclick={() => onagain(w)}>Put it back on the line</button
      >{/if}
    <button class="link" onclick={() => session.outbox.again(w)}>Send it again</button>
    <button class="link" onclick={saveAll}>Save as a file</button>
    <button class="link" onclick={() => session.outbox.drop(w)}>Drop it</button>
  </Caution>
{/each}
