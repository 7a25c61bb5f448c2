<script lang="ts">
  import { aimText } from '$core/job/next-slot.ts';
  import type { ReadingLine } from '../job/line.svelte.ts';
  import type { JobSession } from '../job/session.svelte.ts';

  interface Props {
    line: ReadingLine;
    session: JobSession;
    stepTitle: string;
    field: HTMLInputElement | undefined;
    onlogged: () => void;
  }
  let { line, session, stepTitle, field = $bindable(), onlogged }: Props = $props();

  /** an amendment says that it was read with another gauge */
  const another = $derived(
    line.asking.for === 'amend-why' && line.asking.gaugeId !== (line.asking.reading.gauge?.id ?? null)
  );
  const asks = $derived.by(() => {
    const a = line.asking;
    switch (a.for) {
      case 'figure':
        return line.aim ? aimText(line.aim) : `a remark on \u201c${stepTitle}\u201d`;
      case 'amend':
        return `instead of ${a.reading.text}, the reading is`;
      case 'amend-why': {
        const by = (gauge: string | undefined) => (another ? ` by ${gauge ?? 'no gauge named'}` : '');
        const now = session.gauge(a.gaugeId ?? undefined)?.name;
        return `${a.text}${by(now)} instead of ${a.reading.text}${by(a.reading.gauge?.name)}, because`;
      }
      case 'skip':
        return `why is \u201c${a.step.title}\u201d skipped?`;
      case 'reopen':
        return 'why is a closed job opened again?';
      case 'override':
        return a.flags.length ? 'why go on without it?' : 'why go on all the same?';
      case 'seen': {
        const words = session.sheet.words.flags[a.flag]!;
        return `${a.on ? words.on : words.off}: what was seen, and by whom if it was not you?`;
      }
      case 'happened':
        return 'it happened: what was done, in a few words?';
      case 'remark':
        return 'remark';
    }
  });
  const reasons = $derived(
    line.asking.for === 'amend-why'
      ? another
        ? ['read with another gauge']
        : ['misread', 'typed wrong', 'before and after swapped', 'gauge slipped']
      : line.asking.for === 'skip'
        ? ['not needed here', 'done before', 'no tool at hand']
        : []
  );
  const wordy = $derived(!['figure', 'amend'].includes(line.asking.for));

  async function enter() {
    // a step opened a moment ago may still be waiting for its trade, which says where a figure goes
    if (line.waits) await line.ready().catch(() => {});
    if (line.enter()) onlogged();
  }
  function key(e: KeyboardEvent) {
    if (e.key === 'Enter') {
      e.preventDefault();
      void enter();
    } else if (e.key === 'Escape') {
      e.preventDefault();
      line.drop();
      field?.blur();
    }
  }
</script>

<div class="line">
  <div class="in" class:wordy>
    <label class="only-read" for="reading">{asks}</label>
    <input
      id="reading"
      bind:this={field}
      bind:value={line.text}
      class:wordy
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      maxlength="200"
      placeholder={wordy ? 'say why' : 'reading'}
      aria-describedby="meaning"
      onkeydown={key}
    />
  </div>
  <div class="means" id="meaning" aria-live="polite">
    {#if line.question}
      <b class="doubt">{line.question}</b> <span>Enter keeps it, Esc drops it.</span>
    {:else if line.text.trim() === '' || wordy}
      <span class="soft">{asks}</span>
      {#each reasons as r (r)}<button class="chip" onclick={() => ((line.text = r), field?.focus())}>{r}</button>{/each}
    {:else if !line.meaning.ok}
      <b class="doubt">{line.meaning.text}</b>
    {:else}
      {line.meaning.label} <b>{line.meaning.text}</b>
    {/if}
    {#if !wordy && line.aim && line.aim.slot.gauge !== 'eye'}
      {#if line.gauges.length === 0}
        <a class="soft" href="/tray">no {line.aim.slot.gauge} in the tray: add one</a>
      {:else}
        <label class="gauge"
          ><span class="only-read">Gauge</span>
          <select
            value={line.gauge?.id ?? ''}
            onchange={(e) => line.chooseGauge(line.aim!.slot.gauge, e.currentTarget.value)}
          >
            {#if !line.gauge}<option value="">which {line.aim.slot.gauge}?</option>{/if}
            {#each line.gauges as g (g.id)}<option value={g.id}>{g.name}</option>{/each}
          </select></label
        >
      {/if}
    {/if}
  </div>
  {#if session.outbox.waiting.length && session.outbox.away}
    <button class="unsent" onclick={() => session.outbox.retryNow()}
      >{session.outbox.waiting.length} unsent, trying again</button
    >
  {:else if session.outbox.waiting.length > 20}
    <p class="keys" role="status">writing {session.outbox.waiting.length} figures into the log …</p>
  {:else}
    <div class="keys" aria-hidden="true">
      <kbd>Enter</kbd> log <kbd>Esc</kbd> drop
      {#if !wordy}<kbd>A</kbd> amend last <kbd>D</kbd> done <kbd>?</kbd> keys{/if}
    </div>
  {/if}
</div>

<style>
  .line {
    display: flex;
    align-items: center;
    gap: 18px;
    min-height: 62px;
    padding: 6px 18px;
  }
  .in {
    width: 230px;
    flex-shrink: 0;
  }
  /* a sentence is seen whole while it is written */
  .in.wordy {
    width: clamp(230px, 40vw, 560px);
  }
  input {
    width: 100%;
    border: 0;
    border-bottom: 2px solid var(--on-line);
    background: none;
    color: var(--on-line);
    caret-color: var(--caret);
    font-stretch: 76%;
    font-size: var(--t7);
    font-weight: 600;
    line-height: 1.25;
    padding: 0;
    border-radius: 0;
  }
  input.wordy {
    font-size: var(--t5);
    line-height: 2;
  }
  input::placeholder {
    color: #93a59c;
    font-weight: 450;
    opacity: 1;
  }
  input:focus-visible {
    outline: none;
    border-bottom-color: var(--caret);
    box-shadow: 0 2px 0 var(--caret);
  }
  .means {
    font-size: var(--t4);
    min-width: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    align-items: baseline;
  }
  .soft {
    color: var(--on-line-2);
  }
  .doubt {
    color: var(--caret);
    font-weight: 600;
  }
  .chip {
    min-height: 32px;
    padding: 2px 10px;
    border: 1px solid var(--on-line-2);
    background: none;
    color: var(--on-line);
    cursor: pointer;
  }
  .gauge select {
    max-width: 190px;
    background: var(--line);
    color: var(--on-line-2);
    border: 0;
    border-bottom: 1px solid var(--on-line-2);
    font-size: var(--t2);
    min-height: 28px;
  }
  .keys {
    margin-left: auto;
    color: var(--on-line-2);
    font-size: var(--t2);
    white-space: nowrap;
  }
  .unsent {
    margin-left: auto;
    min-height: 44px;
    padding: 4px 14px;
    border: 1.5px dashed var(--caret);
    background: none;
    color: var(--caret);
    font-weight: 600;
    cursor: pointer;
  }
  @media (max-width: 1100px) {
    .keys {
      display: none;
    }
  }
  @media (max-width: 620px) {
    .line {
      flex-wrap: wrap;
      gap: 4px 12px;
      padding: 6px 12px 8px;
    }
    .in,
    .in.wordy {
      width: 100%;
    }
    input {
      font-size: var(--t6);
    }
  }
</style>
