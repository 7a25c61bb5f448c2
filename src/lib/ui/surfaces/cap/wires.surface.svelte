<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { wiresFinding } from '$core/domains/cap/cap-work.ts';
  import { choiceOf, listOf } from '$core/engine/engine.ts';
  import LeadsCap from '../../instruments/cap/LeadsCap.svelte';
  import ReadingText from '../../job/ReadingText.svelte';
  import { exchange } from '../exchange.ts';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.wires);
  const order = $derived(listOf(session.engine, 'firingOrder') ?? []);
  const rotor = $derived(choiceOf(session.engine, 'rotorDirection') as 'cw' | 'ccw' | undefined);
  const n = $derived(order.length);
  const expected = $derived(w.map?.expected ?? order.map((_, k) => order[rotor === 'ccw' ? (n - k) % n : k]!));
  const first = $derived(session.state.work.tooth.rotorTargetDeg ?? 0);
  const bad = (k: number) => w.map !== null && w.map.wrong.includes(k);
</script>

<div class="beside" style="--first: 0.9fr" data-step={stepId}>
  <LeadsCap
    leads={expected.map((_, k) => w.wires[k]?.value ?? null)}
    {expected}
    wrong={w.map?.wrong ?? []}
    next={w.map ? null : w.wires.length % n}
    firstDeg={first}
    {rotor}
    label="Leads of the cap, clockwise from the rotor: {w.wires.map((x) => x.value).join(', ') ||
      'none traced'}; should be {expected.join(', ')}"
    onmove={session.state.closed
      ? undefined
      : (a, b) => exchange(session, w.wires[a]!, w.wires[b]!, 'moved on the drawing of the cap')}
  />
  <div>
    <table>
      <caption class="only-read">Leads clockwise from the tower the rotor faces</caption>
      <thead
        ><tr
          ><th>tower</th><th class="n">lead goes to</th><th class="n">should go to</th><th
            ><span class="only-read">verdict</span></th
          ></tr
        ></thead
      >
      <tbody>
        {#each expected as want, k (k)}
          {@const r = w.wires[k]}
          <tr class:next={k === w.wires.length % n && !w.map}>
            <td>{k === 0 ? '1, where the rotor points' : `${k + 1}, clockwise`}</td>
            <td class="n"
              >{#if r}<ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} />{:else}<span
                  class="quiet">to trace</span
                >{/if}</td
            >
            <td class="n">{want}</td>
            <td class:out={bad(k)}>{w.map ? (bad(k) ? '× wrong' : '✓') : ''}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if w.problem}<p class="finding out" role="alert">{w.problem}</p>{/if}
    {#if w.map}
      <p class="finding" class:out={w.map.cause !== 'right'} data-testid="miswire">{wiresFinding(w.map)}.</p>
      {#if w.map.cause !== 'right'}
        <p class="quiet">
          {w.map.cause === 'half-cycle-out'
            ? 'Either turn the crank once and begin again, or move every lead to the tower opposite.'
            : w.map.cause === 'wrong-direction'
              ? 'Keep number one where it is and lay the others the other way round.'
              : w.map.cause === 'two-swapped'
                ? 'Change the two over, then trace them once more.'
                : 'Move the leads to what should be there, then trace them once more.'}
        </p>
      {/if}
    {/if}
  </div>
</div>

<style>
  .finding {
    margin: 10px 0 4px;
    font-size: var(--t4);
    font-weight: 640;
  }
  .out {
    color: var(--out);
    font-weight: 640;
  }
  tr.next {
    box-shadow: inset 3px 0 0 var(--target);
  }
  tr.next td:first-child {
    padding-left: 9px;
  }
</style>
