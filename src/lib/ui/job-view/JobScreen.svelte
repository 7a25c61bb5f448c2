<script lang="ts">
  import { onMount, tick } from 'svelte';
  import { goto } from '$app/navigation';
  import type { Waiting } from '../unsent/waiting.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import { dayText } from '$lib/reader/dates.ts';
  import { press } from '../keys/keys.ts';
  import Frame from '../primitives/Frame.svelte';
  import { JobSession, type SessionData } from '../job/session.svelte.ts';
  import { JobView } from '../job/view.svelte.ts';
  import { ReadingLine as Line, type Asking } from '../job/line.svelte.ts';
  import ReadingLine from './ReadingLine.svelte';
  import Spine from './Spine.svelte';
  import StatePanel from './StatePanel.svelte';
  import WorkSurface from './WorkSurface.svelte';
  import { held, setAside } from './later.ts';
  import { loadTheRest } from '../surfaces/load.ts';
  import { looksOpen } from '$core/job/proved.ts';
  import { words, type Person } from '$core/job/index.ts';

  interface JobData extends SessionData {
    job: { id: string; engineName: string; promisedOn: string | null };
    person: Person | null;
    prefs: Prefs;
    sheetAddress: string;
  }
  /** One job at the bench: a session for the life of this component, so another job is another component. */
  let { data }: { data: JobData } = $props();
  // svelte-ignore state_referenced_locally
  const session = new JobSession(data, () => data.person);
  // svelte-ignore state_referenced_locally
  let viewEnd = $state(data.prefs.view);
  const prefs = $derived({ ...data.prefs, view: viewEnd });
  const view = new JobView(session, () => prefs);
  const line = new Line(
    session,
    () => view.selected.step,
    () => prefs
  );
  let field = $state<HTMLInputElement>();
  let spoken = $state('');
  onMount(() => {
    // first what later steps are worked out with, so that none of them waits; their drawings after that
    const soon = setTimeout(() => void session.ready().catch(() => {}), 200);
    const idle = setTimeout(() => {
      void loadTheRest(session.sheet.steps.map((s) => s.surface));
      void setAside();
      void held();
    }, 1500);
    const close = session.connect();
    return () => {
      clearTimeout(soon);
      clearTimeout(idle);
      close();
    };
  });

  const now = $derived(session.state);

  function setView(v: 'front' | 'rear') {
    viewEnd = v;
    void fetch('/api/prefs', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ view: v })
    }).catch(() => {});
  }
  async function ask(asking: Asking, text = '') {
    line.open(asking, text);
    await tick();
    field?.focus();
    field?.select();
  }
  async function done() {
    const { step } = view.selected;
    // what the step leaves open is judged by its trade: it is not done before that is here
    if (!session.has(step.id)) await session.ready(step.id).catch(() => {});
    const refused = session.say({ kind: 'done', step: step.id });
    if (refused) return;
    view.picked = null;
    line.prefer = undefined;
    await tick();
    spoken = `Done: ${step.title}. Next: ${view.selected.step.title}.`;
    document.getElementById('main')?.scrollTo({ top: 0 });
  }
  function logged() {
    spoken = 'Logged.';
    // with a keyboard the keys are free again, and the next digit opens the line; a finger stays where it types
    if (matchMedia('(pointer: fine)').matches) document.getElementById('main')?.focus({ preventScroll: true });
  }
  function undo() {
    const last = session.undoable;
    if (!last) return;
    if (session.say({ kind: 'undo', undoes: last.id }) === null) spoken = 'Undone.';
  }
  /** Puts what the server would not take back on the line, at its step, to be mended there. */
  function again({ input }: Waiting) {
    const step = session.sheet.steps.find((s) => 'step' in input && s.id === input.step);
    if (step) view.picked = step.id;
    if (input.kind === 'reading') {
      line.prefer = input.slot;
      void ask({ for: 'figure' }, input.text);
    } else if (input.kind === 'amend') {
      const reading = now.readings.find((r) => r.id === input.replaces);
      if (reading) void ask({ for: 'amend', reading }, input.text);
    } else if (input.kind === 'photo') {
      const { id: _, ...draft } = input;
      session.say(draft);
    } else if ('text' in input) void ask({ for: 'remark', step: step ?? null }, input.text);
  }
  function amendLast() {
    const mine = session.readings(view.selected.step.id);
    const last = mine[mine.length - 1] ?? now.readings[now.readings.length - 1];
    if (last) void ask({ for: 'amend', reading: last }, last.text);
    else spoken = 'There is no reading to amend.';
  }

  async function photograph() {
    view.photographing = view.selected.step.id;
    await tick();
    const take = document.getElementById('take-photo');
    if (take) take.click();
    else spoken = 'The photograph button is beneath the instruction.';
  }

  const nextLook = () => looksOpen(now, view.selected)[0];
  /** The next thing that is looked at is as it should be; read out, so that it is heard which. */
  function answerNext() {
    const look = nextLook();
    if (!look) return;
    view.others = null;
    const good = look.options[0]!;
    if (session.say({ kind: 'choose', school: look.id, option: good.id }) === null)
      spoken = `${look.question}: ${good.label}`;
  }

  const acts: Record<string, () => void> = {
    j: () => view.move(1),
    k: () => view.move(-1),
    d: () => void done(),
    s: () => void ask({ for: 'skip', step: view.selected.step }),
    a: amendLast,
    r: () => void ask({ for: 'remark', step: view.selected.step }),
    p: () => void photograph(),
    u: undo,
    y: () => answerNext(),
    n: () => (view.others = nextLook()?.id ?? null),
    b: () => void goto(`/bay/${data.job.id.slice(0, 6)}`)
  };
  const keys = $derived<[string, string][]>([
    ['0–9', 'open the reading line'],
    ['J', 'next step'],
    ['K', 'step before'],
    ['D', 'step done'],
    ['Y', 'the next look is as it should be'],
    ['N', 'the other words of the next look'],
    ['S', 'skip with a reason'],
    ['A', 'amend the last reading'],
    ['R', 'remark'],
    ['P', 'photograph'],
    ['U', 'undo my last'],
    ['B', 'across the bay'],
    ['← →', 'on the dial: turn by 1°, with Shift 10°'],
    ...(view.selected.step.takes.length ? [['T', 'take the best pick'] as [string, string]] : [])
  ]);
  function key(e: KeyboardEvent) {
    if (/^[0-9.,-]$/.test(e.key)) {
      e.preventDefault();
      if (line.asking.for === 'figure') line.text += e.key;
      field?.focus();
      return;
    }
    if (e.shiftKey) return;
    const act = acts[e.key.toLowerCase()];
    if (act) act();
    else if (!press(e.key)) return;
    e.preventDefault();
  }
</script>

<svelte:head>
  <title>{data.job.engineName}: {session.sheet.short} · Nemrik</title>
  <link rel="preload" as="fetch" crossorigin="anonymous" href={data.sheetAddress} />
</svelte:head>

<Frame {keys} onkey={key}>
  {#snippet subject()}<b>{data.job.engineName}</b> · {session.sheet.short}{#if data.job.promisedOn}&nbsp;· for {dayText(
        data.job.promisedOn
      )}{/if}{/snippet}
  <div class="job">
    <Spine
      steps={now.steps}
      flags={session.sheet.words.flags}
      current={now.current}
      selected={view.selected.step.id}
      note={(v) => words.takenText(now, v)}
      onselect={(id) => (view.picked = id)}
    />
    <WorkSurface {session} {view} {line} {prefs} ondone={done} onask={ask} onundo={undo} onagain={again} />
    <StatePanel onask={ask} {session} {view} {prefs} onview={setView} />
  </div>
  {#snippet foot()}
    <ReadingLine {line} {session} stepTitle={view.selected.step.title} bind:field onlogged={logged} />
  {/snippet}
</Frame>
<div class="only-read" aria-live="polite">{spoken} {session.announcement}</div>

<style>
  .job {
    display: grid;
    grid-template-columns: 232px minmax(0, 1fr) 356px;
    min-height: 0;
  }
  @media (max-width: 1100px) {
    .job {
      grid-template-columns: 210px minmax(0, 1fr) 300px;
    }
  }
  @media (max-width: 900px) {
    .job {
      grid-template-columns: minmax(0, 1fr);
      align-content: start;
    }
  }
  @media print {
    .job {
      display: block;
    }
  }
</style>
