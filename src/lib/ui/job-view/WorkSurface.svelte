<script lang="ts">
  import { valuesAsked, words } from '$core/job/index.ts';
  import type { Reading } from '$core/job/replayed.ts';
  import type { SchoolId } from '$core/domains/list.ts';
  import { reasonable } from '$core/job/admit.ts';
  import { inTheWay, looksOwed, wantsReason } from '$core/job/proved.ts';
  import { ruleOf, ruleText } from '$core/job/rules.ts';
  import { DEFERENCE } from '$core/job/texts.ts';
  import { timeText } from '$lib/reader/dates.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';
  import Lazy from '../primitives/Lazy.svelte';
  import { loadSurface, surfaceHere, weighSchool } from '../surfaces/load.ts';
  import { lengthText } from '../../reader/units.ts';
  import Caution from '../job/Caution.svelte';
  import { fitted } from './fits.ts';
  import { held, setAside } from './later.ts';
  import type { ReadingLine } from '../job/line.svelte.ts';
  import type { JobSession } from '../job/session.svelte.ts';
  import type { Waiting } from '../unsent/waiting.ts';
  import type { JobView } from '../job/view.svelte.ts';

  interface Props {
    session: JobSession;
    view: JobView;
    line: ReadingLine;
    prefs: Prefs;
    ondone: () => void;
    onask: (asking: Parameters<ReadingLine['open']>[0], text?: string) => void;
    onundo: () => void;
    onagain: (w: Waiting) => void;
  }
  let { session, view, line, prefs, ondone, onask, onundo, onagain }: Props = $props();

  const v = $derived(view.selected);
  const step = $derived(v.step);
  const lacks = $derived(valuesAsked(v, session.engine, session.state.replayed.chosen));
  const settled = $derived(v.state === 'done' || v.state === 'skipped');
  const open = $derived(v.state === 'open' || v.state === 'blocked' || v.state === 'repeat');
  const here = $derived(session.has(step.id));
  const wayOn = $derived(open && here ? inTheWay(session.state, v) : null);
  /** what is refused may be gone on from with a reason, where one may */
  const left = $derived(open && session.refusal?.code === 'not-proved' && wayOn && wantsReason(wayOn) ? wayOn : null);
  const asked = $derived(step.choices.filter((c) => !c.proves));
  /** what took back what the step gave */
  const lost = $derived([...session.state.fallen.values()].find((f) => f.step === step.id)?.what);
  const said = $derived(words.headline(session.state, session.engine, v, lengthText(prefs)));
  function reopen() {
    // what is closed was signed for: it is opened with a reason
    if (session.state.closed) onask({ for: 'reopen', step });
    else session.say({ kind: 'reopen', step: step.id });
  }
  const hazards = $derived(step.hazards.map((h) => session.sheet.words.hazards[h]!));
  const amend = (r: Reading) => onask({ for: 'amend', reading: r }, r.text);
  const Here = $derived(here ? surfaceHere(step.surface) : undefined);
  const given = $derived({ session, view, line, prefs, stepId: step.id, onamend: amend });
  /** the last thing that happened although it must not, until a step is done again after it */
  const happened = $derived.by(() => {
    const last = session.state.replayed.happened.at(-1);
    const since = last && session.all.some((e) => e.kind === 'done' && e.seq > last.seq);
    return last && !since ? ruleOf(session.sheet, last.rule) : undefined;
  });
  /** lifting out and trying again is ordinary work wherever something is in mesh at rest */
  const liftable = $derived(
    session.state.flags.has('gear-meshed') &&
      !session.state.flags.has('engine-running') &&
      step.sets.some((f) => ['gear-meshed', 'distributor-seated', 'tooth-chosen', 'drive-oriented'].includes(f))
  );
  const photographs = $derived(
    view.photographing === step.id || session.state.replayed.photos.some((p) => p.step === step.id)
  );
  let lead = $state<HTMLElement>();
  const remarks = $derived(session.state.replayed.remarks.filter((r) => r.step === step.id));
</script>

<div class="work">
  <!-- it scrolls, so the keyboard must be able to get into it even when nothing in it takes the focus -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <main id="main" tabindex="0" aria-labelledby="step-in-hand">
    <div bind:this={lead}>
      {#if session.refusal}
        <Caution role="alert">
          <b>{session.refusal.message}</b>
          {#if left !== null}
            <button class="link" onclick={() => onask({ for: 'override', step, flags: [], open: left.what })}
              >{left.letter === 'K' ? 'Leave it unproved, and say why' : 'Go on all the same, and say why'}</button
            >
          {/if}
          {#if session.refusal.code === 'only-with-reason'}
            <button
              class="link"
              onclick={() => onask({ for: 'override', step, flags: [], rules: reasonable(session.state, step) })}
              >Go on all the same, and say why</button
            >
          {/if}
          <button class="link" onclick={() => (session.refusal = null)}>Understood</button>
        </Caution>
      {/if}
      {#if happened}
        <Caution role="alert">
          <b>It happened. {ruleText(happened).ifItHappened.replace('If it happened: ', 'Now: ')}</b>
          What it spoiled is open again in the run sheet.
        </Caution>
      {/if}
      {#if session.outbox.setAside.length}<Lazy load={setAside} props={{ session, onagain }} />{/if}
      {#if session.outbox.away || session.knownAt !== null}
        <Caution role="alert">
          {#if session.outbox.trouble}<b>{session.outbox.trouble}</b>
          {:else}<b>The server or its database does not answer.</b> What you log stays here as unsent and is sent again by
            itself.{/if}
          {#if session.knownAt !== null}This is the last known state of the job, of {timeText(session.knownAt, prefs)}:
            what others logged since is not in it.{/if}
        </Caution>
      {/if}
      {#if open && step.hazards.length}
        <Caution>
          <p>
            {#each hazards as h (h.title)}<b>{h.title}</b>
              {h.text + ' '}{/each}
          </p>
          <p class="defer">Defers to {words.list([...new Set(hazards.map((h) => h.defer))])}.</p>
        </Caution>
      {/if}
      {#if v.state === 'blocked' || (v.state === 'repeat' && v.missing.length)}<Lazy
          load={held}
          props={{ session, view, v, onask }}
        />{/if}

      {#if session.state.work.crank?.asks && !session.state.closed}<Lazy
          load={() => import('./TurnsAsked.svelte')}
          props={{ session, prefs, asks: session.state.work.crank.asks }}
        />{/if}

      <p class="phase" id="step-in-hand">
        {step.phase} · {step.title}
        {#if v.state === 'done'}· done by {v.mark!.by.name}{:else if v.state === 'skipped'}· skipped by {v.mark!.by
            .name}: {v.mark!.reason}{:else if v.state === 'repeat'}· to be repeated, what it gave was {lost
            ? `taken back: ${lost}`
            : 'lost'}{/if}
        {#if v.overruled}· overruled: {v.overruled}{/if}
      </p>
      <h1>{said}</h1>
      {#if said !== step.say && open}<p class="say">{step.say}</p>{/if}
      <p class="why">
        {step.why}
        {#if liftable}<button class="link" onclick={() => session.say({ kind: 'lift' })}
            >Lifted out, to try again</button
          >{/if}
      </p>

      {#if v.asks}
        <div class="question">
          <p><b>{v.asks.question}</b></p>
          <button class="button" onclick={() => session.say({ kind: 'fact', fact: v.asks!.fact, value: true })}
            >{v.asks.yes}</button
          >
          <button class="button" onclick={() => session.say({ kind: 'fact', fact: v.asks!.fact, value: false })}
            >{v.asks.no}</button
          >
        </div>
      {:else}
        {#if lacks.length}
          {#key lacks.join()}
            <Lazy
              load={() => import('../engine/EnterValues.svelte')}
              props={{
                engineId: session.engine.id,
                fields: session.sheet.words.fields.filter((f) => lacks.includes(f.name)),
                prefs,
                stacked: true,
                onentered: () => session.refreshEngine()
              }}
            />
          {/key}
        {/if}
        <!-- which way is proposed is its trade's to say: not before that is here -->
        {#each here ? step.schools : [] as school (school)}
          {@const weigh = weighSchool(school)}
          {#if weigh}<Lazy load={weigh} props={{ session, line }} />{:else}<Lazy
              load={() => import('./Schools.svelte')}
              props={{ session, id: school as SchoolId }}
            />{/if}
        {/each}

        {#if asked.length && !step.choicesInside}<Lazy
            load={() => import('./StepChoices.svelte')}
            props={{ session, choices: asked }}
          />{/if}
        {#if open && looksOwed(session.state, v).length}<Lazy
            load={() => import('./Looks.svelte')}
            props={{ session, view, v }}
          />{/if}
      {/if}

      {#if step.photos || photographs}<Lazy
          load={() => import('../photos/Photos.svelte')}
          props={{ session, stepId: step.id, views: step.photos ?? [] }}
        />{/if}
    </div>
    <div
      class="surface"
      data-surface={step.surface}
      {@attach fitted(
        () => lead,
        () => open && v.state !== 'blocked' && !lacks.length
      )}
    >
      <!-- a drawing belongs to its step: none may be shown the next step while its own part is still being fetched -->
      {#key step.id}
        {#if Here}
          <Here {...given} />
        {:else}
          {#await session.ready(step.id).then(() => loadSurface(step.surface))}
            <p class="quiet small" role="status">Loading …</p>
          {:then Part}
            <Part {...given} />
          {:catch}
            <p role="alert">
              {here
                ? 'The drawing of this step could not be loaded; figures can be logged all the same.'
                : 'What works this step out could not be loaded. A figure that is typed stays on the line: load the page again once the server answers.'}
            </p>
          {/await}
        {/if}
      {/key}
    </div>

    {#each remarks as r (r.id)}<p class="remark">“{r.text}” <span class="quiet small">{r.by.name}</span></p>{/each}

    <dl class="facts">
      {#if step.accept}<dt>Accept</dt>
        <dd>{step.accept}</dd>{/if}
      {#if step.ifSkipped}<dt>If skipped</dt>
        <dd>{step.ifSkipped}</dd>{/if}
      {#if step.tools.length}<dt>Tools</dt>
        <dd>{step.tools.join(', ')}</dd>{/if}
      <dt>Takes</dt>
      <dd>
        about {step.minutes} min{step.helper === 'yes'
          ? ', with a helper'
          : step.helper === 'advised'
            ? ', a helper is a good thing'
            : ''}
      </dd>
    </dl>
    <p class="deference">{DEFERENCE}</p>
  </main>
  <section class="acts" aria-label="What to do with this step">
    {#if open}
      <button class="button first" onclick={ondone}>Done <kbd>D</kbd></button>
      <button class="button" onclick={() => onask({ for: 'skip', step })}>Skip <kbd>S</kbd></button>
    {:else if settled}
      <button class="button" onclick={reopen}>Open again</button>
    {/if}
    <button class="button" onclick={() => onask({ for: 'remark', step })}>Remark <kbd>R</kbd></button>
    <a class="button" href="/bay/{session.jobId.slice(0, 6)}">Across the bay <kbd>B</kbd></a>
    <button class="button" onclick={onundo} disabled={!session.undoable}>Undo <kbd>U</kbd></button>
  </section>
</div>

<style>
  .work {
    display: flex;
    flex-direction: column;
    background: var(--sheet);
    min-width: 0;
    min-height: 0;
  }
  main:focus {
    outline: none;
  }
  .phase {
    font-size: var(--t2);
    color: var(--ink-2);
    margin: 4px 0 2px;
  }
  .say {
    margin: 2px 0;
    max-width: 76ch;
  }
  .why {
    color: var(--ink-2);
    margin: 2px 0 10px;
    max-width: 76ch;
  }
  .defer {
    color: var(--ink-2);
  }
  .question {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 12px;
    align-items: center;
    margin: 8px 0 14px;
    padding: 10px 0;
    border-top: 1.5px solid var(--ink);
    border-bottom: 1px solid var(--rule);
  }
  .question p {
    flex: 1 1 300px;
  }
  .surface {
    margin: 10px 0;
  }
  .remark {
    margin: 6px 0;
  }
  main {
    flex: 1;
    min-height: 0;
    overflow: auto;
    padding: 10px 22px 18px;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding: 9px 22px;
    border-top: 1px solid var(--rule);
  }
  .facts {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 2px 14px;
    font-size: var(--t2);
    color: var(--ink-2);
    border-top: 1px solid var(--rule);
    padding-top: 8px;
    max-width: 700px;
  }
  .deference {
    font-size: var(--t1);
    color: var(--ink-2);
    margin-top: 10px;
    max-width: 84ch;
  }
  .facts dd {
    color: var(--ink);
  }
</style>
