<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { gearFinding, type GearFigure } from '$core/domains/gears/gear-work.ts';
  import Hands from '../../instruments/tooth/Hands.svelte';
  import { lengthText } from '../../../reader/units.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const g = $derived(session.state.work.gears);
  const len = $derived(lengthText(prefs));
  const compares = $derived(step.slots.some((s) => s.slot === 'new-teeth'));
  const sign = { same: '✓ same', differs: '× differs', unknown: '? not known', known: '' };
  const shown = (f: GearFigure | null) => (f === null ? 'not known' : typeof f === 'string' ? f : len(f.mm, 2));
  const severity = { stop: 'Stop', warn: 'Look', note: 'Note' };
</script>

<div class="fig">
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if step.slots.some((s) => s.slot === 'gear-turned') && g.reindex}
      <dl class="pairs">
        <dt>One tooth is</dt>
        <dd>{g.reindex.pitchDeg.toFixed(2)}°</dd>
        <dt>Rotor against teeth</dt>
        <dd>
          {Math.abs(g.reindex.rotorShiftDeg).toFixed(2)}°
          {g.reindex.rotorShiftDeg === 0 ? '' : g.reindex.rotorShiftDeg > 0 ? 'clockwise' : 'anticlockwise'}
        </dd>
        <dt>At the crank</dt>
        <dd>{Math.abs(g.reindex.crankDeg).toFixed(2)}°</dd>
      </dl>
      <p class="note">
        The housing has to make up for the shift: see that it has the room. Half a turn with an odd count of teeth
        shifts by half a tooth.
      </p>
    {/if}
    {#if compares}<Hands />{/if}
  </div>
  {#if compares}
    <div>
      <table>
        <caption class="only-read">Old gear against new gear</caption>
        <thead
          ><tr
            ><th>gear</th><th class="n">old</th><th class="n">new</th><th><span class="only-read">verdict</span></th
            ></tr
          ></thead
        >
        <tbody>
          {#each g.rows as r (r.label)}
            <tr>
              <td>{r.label}</td><td class="n">{shown(r.old)}</td><td class="n">{shown(r.fresh)}</td>
              <td class={r.state}>{sign[r.state]}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if g.lacks.length}<p class="note">Nothing is assumed. Still to be known: {g.lacks.join(', ')}.</p>{/if}
      {#if g.findings}
        <ul>
          {#each g.findings as f (f.code)}<li class={f.severity}>
              <b>{severity[f.severity]}.</b>
              {gearFinding(f)}
            </li>{/each}
        </ul>
      {/if}
    </div>
  {/if}
</div>

<style>
  td {
    white-space: nowrap;
    padding-right: 8px;
  }
  td:first-child {
    white-space: normal;
  }
  .fig {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 24px;
    align-items: start;
  }
  .same {
    color: var(--in);
  }
  .differs {
    color: var(--out);
    font-weight: 640;
  }
  .unknown {
    color: var(--unsure);
  }
  li {
    padding: 4px 0;
  }
  .stop {
    color: var(--out);
    font-weight: 600;
  }
</style>
