<script lang="ts">
  import type { StepView } from '$core/job/index.ts';
  import type { FlagWords } from '$core/job/run-sheet.ts';

  interface Props {
    steps: StepView[];
    /** how the states of the run sheet are said */
    flags: Record<string, FlagWords>;
    current: number | null;
    selected: string;
    note: (v: StepView) => string;
    onselect: (id: string) => void;
  }
  let { steps, flags, current, selected, note, onselect }: Props = $props();

  const phases = $derived.by(() => {
    const out: { name: string; steps: StepView[]; done: number }[] = [];
    for (const v of steps) {
      const last = out[out.length - 1];
      if (last?.name === v.step.phase) last.steps.push(v);
      else out.push({ name: v.step.phase, steps: [v], done: 0 });
    }
    for (const p of out) p.done = p.steps.filter((s) => s.state === 'done' || s.state === 'skipped').length;
    return out;
  });
  const currentId = $derived(current === null ? null : steps[current]!.step.id);
  // phases without the work in hand fold to a line; the hand may open and close them
  let opened = $state<Record<string, boolean>>({});
  const isOpen = (p: { name: string; steps: StepView[] }) =>
    opened[p.name] ?? p.steps.some((s) => s.step.id === selected || s.step.id === currentId);

  const words: Record<string, string> = {
    done: 'done',
    skipped: 'skipped',
    repeat: 'to be repeated',
    open: 'open',
    blocked: 'held',
    'not-needed': 'not needed'
  };
  const hint = (v: StepView) =>
    v.state === 'skipped'
      ? `skipped: ${v.mark!.reason}`
      : v.state === 'blocked'
        ? `held: ${[...v.missing.map((f) => flags[f]!.off), ...v.stillOn.map((f) => flags[f]!.on)].slice(0, 2).join(', ')}`
        : v.state === 'repeat'
          ? 'to be repeated'
          : v.state === 'not-needed'
            ? 'not needed'
            : note(v);

  let spine: HTMLElement;
  // the property changes with every word of the log: only another step is brought into view, since that lays out the page
  const inView = $derived(selected);
  $effect(() => {
    void inView;
    spine.querySelector('[aria-current="step"]')?.scrollIntoView({ block: 'nearest' });
  });
</script>

<aside class="spine" bind:this={spine} aria-label="Run sheet">
  {#each phases as p (p.name)}
    {@const open = isOpen(p)}
    <h2>
      <button aria-expanded={open} onclick={() => (opened = { ...opened, [p.name]: !open })}
        >{p.name}<span>{p.done} of {p.steps.filter((s) => s.state !== 'not-needed').length}</span></button
      >
    </h2>
    {#if open}
      <ol>
        {#each p.steps as v (v.step.id)}
          {@const h = hint(v)}
          <li class={v.state} class:now={v.step.id === selected} class:next={v.step.id === currentId}>
            <button aria-current={v.step.id === selected ? 'step' : undefined} onclick={() => onselect(v.step.id)}>
              <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
                {#if v.state === 'done'}<path d="M4 10l4 4 8-10" class="tick" />
                {:else if v.state === 'skipped'}<path d="M1 10h4M8 10h4M15 10h4" class="bar" />
                {:else if v.state === 'not-needed'}<path d="M0 10h5" class="thin" />
                {:else if v.state === 'repeat'}<path d="M15 6a6 6 0 1 0 1 5M16 2v5h-5" class="again" />
                {:else}<path d="M0 10h{v.step.id === currentId ? 18 : 11}" class="bar" />{/if}
              </svg>
              <span class="title"
                >{v.step.title}<span class="only-read">, {words[v.state]}</span>{#if h}<span class="hint">{h}</span
                  >{/if}</span
              >
            </button>
          </li>
        {/each}
      </ol>
    {/if}
  {/each}
</aside>

<style>
  .spine {
    position: relative;
    overflow: auto;
    padding: 6px 0 14px 18px;
    border-right: 1.5px solid var(--ink);
    background: linear-gradient(var(--ink), var(--ink)) 18px 0 / 1.5px 100% no-repeat local;
  }
  h2 {
    font-size: var(--t1);
    font-weight: 600;
  }
  h2 button {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    width: 100%;
    min-height: 34px;
    align-items: center;
    padding: 6px 12px 0 26px;
    border: 0;
    background: none;
    color: var(--ink-2);
    font-weight: 600;
    text-align: left;
    cursor: pointer;
  }
  h2 span {
    white-space: nowrap;
    font-weight: 400;
  }
  li button {
    display: flex;
    gap: 6px;
    width: 100%;
    min-height: 34px;
    padding: 6px 10px 6px 0;
    border: 0;
    background: none;
    color: var(--ink-2);
    font-size: var(--t2);
    line-height: 1.25;
    text-align: left;
    cursor: pointer;
  }
  svg {
    flex-shrink: 0;
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .tick {
    stroke: var(--in);
    stroke-width: 2.4;
  }
  .again {
    stroke: var(--target);
    stroke-width: 2;
  }
  .thin {
    stroke: var(--rule);
  }
  .hint {
    display: block;
    font-size: var(--t1);
    font-weight: 400;
    color: var(--ink-2);
  }
  .done button,
  .repeat button {
    color: var(--ink);
  }
  .not-needed .title {
    text-decoration: line-through;
    text-decoration-color: var(--ink-2);
  }
  .next .bar {
    stroke: var(--target);
    stroke-width: 3;
  }
  .now {
    background: var(--sheet);
    box-shadow: inset 4px 0 0 var(--target);
  }
  .now button {
    color: var(--ink);
    font-weight: 650;
  }
  @media (max-width: 900px) {
    .spine {
      border-right: 0;
      border-bottom: 1.5px solid var(--ink);
      max-height: 190px;
    }
    li button,
    h2 button {
      min-height: 44px;
    }
  }
</style>
