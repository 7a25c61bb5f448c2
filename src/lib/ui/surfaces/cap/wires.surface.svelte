<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { wiresFinding } from '$core/domains/cap/cap-work.ts';
  import { choiceOf, listOf } from '$core/engine/engine.ts';
  import { wrap360 } from '$core/numerics/angles.ts';
  import { bearingPoint, CENTRE, SIZE, turnArrow } from '../../instruments/cap/cap-geometry.ts';
  import ReadingText from '../../job/ReadingText.svelte';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.wires);
  const order = $derived(listOf(session.engine, 'firingOrder') ?? []);
  const rotor = $derived(choiceOf(session.engine, 'rotorDirection') as 'cw' | 'ccw' | undefined);
  const n = $derived(order.length);
  const expected = $derived(w.map?.expected ?? order.map((_, k) => order[rotor === 'ccw' ? (n - k) % n : k]!));
  const runs = $derived(rotor ? turnArrow(rotor, 215, 40, CENTRE.radius + 16) : null);
  const first = $derived(session.state.work.tooth.rotorTargetDeg ?? 0);
  const bad = (k: number) => w.map !== null && w.map.wrong.includes(k);
</script>

<div class="beside" style="--first: 0.9fr" data-step={stepId}>
  <svg
    class="drawing"
    viewBox="0 0 {SIZE.width} {SIZE.height}"
    role="img"
    aria-label="Leads of the cap, clockwise from the rotor: {w.wires.map((x) => x.value).join(', ') ||
      'none traced'}; should be {expected.join(', ')}"
  >
    <text x={CENTRE.cx} y="15" class="label">front of engine</text>
    <circle cx={CENTRE.cx} cy={CENTRE.cy} r={CENTRE.radius} class="body" />
    {#each expected as want, k (k)}
      {@const p = bearingPoint(wrap360(first + (k * 360) / n), CENTRE.radius - 26)}
      {@const q = bearingPoint(wrap360(first + (k * 360) / n), CENTRE.radius - 60)}
      <circle
        cx={p.x}
        cy={p.y}
        r="15"
        class="tower"
        class:bad={bad(k)}
        class:next={k === w.wires.length % n && !w.map}
      />
      <text x={p.x} y={p.y + 5} class="number" class:bad={bad(k)}>{w.wires[k]?.value ?? '·'}</text>
      <text x={q.x} y={q.y + 5} class="want">{want}</text>
    {/each}
    {#if runs}
      <path d={runs.d} class="line" />
      <path d="M-7 -5 L5 0 L-7 5Z" class="head" transform={runs.head} />
      <text x="8" y={SIZE.height - 10} class="label start"
        >rotor runs {rotor === 'cw' ? 'clockwise' : 'anticlockwise'}</text
      >
    {/if}
  </svg>
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
  .label {
    text-anchor: middle;
  }
  .tower.bad {
    stroke: var(--out);
    stroke-width: 3.4;
  }
  .tower.next {
    stroke: var(--target);
    stroke-dasharray: 4 3;
  }
  .number.bad {
    fill: var(--out);
  }
  .want {
    font-size: var(--t1);
    text-anchor: middle;
    fill: var(--ink-2);
  }
  .line {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1.6;
  }
  .head {
    fill: var(--ink-2);
  }
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
