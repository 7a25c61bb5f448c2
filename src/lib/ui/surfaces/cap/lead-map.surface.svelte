<script lang="ts">
  import { leadMapFinding } from '$core/domains/cap/lead-map.ts';
  import { dateText } from '$lib/reader/dates.ts';
  import { choiceOf, listOf } from '$core/engine/engine.ts';
  import LeadsCap from '../../instruments/cap/LeadsCap.svelte';
  import ReadingText from '../../job/ReadingText.svelte';
  import type { SurfaceProps } from '../props.ts';
  import { exchange } from '../exchange.ts';

  /** The leads as they are found: typed, or tapped tower by tower, and moved on the cap where one was taken for another. */
  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const m = $derived(session.state.work.leadMap);
  const rotor = $derived(choiceOf(session.engine, 'rotorDirection') as 'cw' | 'ccw' | undefined);
  /** here they are read; at a later step they are only shown */
  const slot = $derived(step.slots.find((s) => s.slot === 'lead-map'));
  const n = $derived(m.count ?? Math.max(1, m.leads.length));
  const towers = $derived(Array.from({ length: n }, (_, k) => m.leads[k] ?? null));
  const whole = $derived(m.leads.length >= n);
  const left = $derived(Array.from({ length: n }, (_, k) => k + 1).filter((c) => !m.leads.some((l) => l.value === c)));
  const order = $derived(listOf(session.engine, 'firingOrder'));
  const finding = $derived(leadMapFinding(m));
  const sayable = $derived(slot !== undefined && !session.state.closed);
  /** mapped on the job before this one */
  const taken = $derived(m.leads.find((r) => r.from));
  const tap = (cylinder: number) =>
    session.say({
      kind: 'reading',
      step: stepId,
      slot: 'lead-map',
      quantity: 'count',
      text: String(cylinder),
      defaultUnit: '',
      gaugeId: null
    });
</script>

<div class="beside" style="--first: 0.9fr">
  <LeadsCap
    leads={towers.map((t) => t?.value ?? null)}
    wrong={[]}
    next={sayable && !whole ? m.leads.length : null}
    firstDeg={session.state.work.tooth.rotorTargetDeg ?? 0}
    {rotor}
    label="Leads of the cap as found, clockwise from the tower read first: {m.leads.map((l) => l.value).join(', ') ||
      'none read'}"
    onmove={sayable
      ? (a, b) => exchange(session, m.leads[a]!, m.leads[b]!, 'moved on the drawing of the cap')
      : undefined}
  />
  <div>
    {#if sayable && !whole && left.length}
      <div role="group" aria-labelledby="lead-next">
        <p id="lead-next">
          {m.leads.length ? 'The next tower clockwise' : 'Number one’s tower, or the one you begin at,'} feeds cylinder
        </p>
        <div class="row">
          {#each left as c (c)}<button class="button" onclick={() => tap(c)}>{c}</button>{/each}
        </div>
      </div>
    {/if}
    {#if m.leads.length}
      {#if taken}<p class="quiet">
          Mapped by {taken.from!.by} on {dateText(taken.from!.at, prefs)}, on the job before this one: see that each
          still stands so before one is pulled.
        </p>{/if}
      <ol>
        {#each m.leads as r, k (r.id)}<li>
            <span class="quiet">{k === 0 ? 'tower read first' : `${k + 1}, clockwise`}</span>
            <ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} />
          </li>{/each}
      </ol>
      {#if sayable}<p class="quiet small">
          A lead taken for another is dragged to its tower: the two change places.
        </p>{/if}
    {:else if !slot}<p class="quiet">The leads were not mapped tower by tower: go by the photographs.</p>{/if}
    {#if m.problem}<p class="finding out" role="alert">{m.problem}</p>
    {:else if finding}<p class="finding" class:unsure={m.map !== null && m.map.cause !== 'right'}>{finding}.</p>
      {#if m.map && m.map.cause !== 'right'}<p class="quiet">
          It stays on the card as it was found. Before the engine is started the leads are laid in the firing order{order
            ? ` ${order.join('-')}`
            : ''}, and traced.
        </p>{/if}{/if}
  </div>
</div>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin: 6px 0 10px;
  }
  .row .button {
    min-width: 46px;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 3px 0;
    border-bottom: 1px solid var(--hair);
  }
  .finding {
    margin: 10px 0 4px;
    font-weight: 640;
  }
  .unsure {
    color: var(--unsure);
  }
  .out {
    color: var(--out);
  }
</style>
