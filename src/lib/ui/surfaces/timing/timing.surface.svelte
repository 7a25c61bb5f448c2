<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { againstBefore, beforeAfterText } from '$core/domains/timing/before-after.ts';
  import { tdcDoubt } from '$core/domains/crank/tdc-doubt.ts';
  import { settingDoubt } from '$core/domains/timing/setting-doubt.ts';
  import { housingText } from '$core/domains/timing/words.ts';
  import { words } from '$core/job/index.ts';
  import { choiceOf, listOf, numberOf } from '$core/engine/engine.ts';
  import { formatTiming, timingLimits } from '$core/units/format.ts';
  import Cap from '../../instruments/cap/Cap.svelte';
  import { dateText } from '../../../reader/dates.ts';
  import { lengthText } from '../../../reader/units.ts';
  import Verdict from '../../primitives/Verdict.svelte';
  import ReadingText from '../../job/ReadingText.svelte';
  import Result from '../../job/Result.svelte';
  import Caution from '../../job/Caution.svelte';
  import TimingBasis from './TimingBasis.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();

  const work = $derived(session.state.work.timing[stepId]!);
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const len = $derived(lengthText(prefs));
  const latest = $derived(work.latest);
  const order = $derived(listOf(session.engine, 'firingOrder'));
  const rotor = $derived(choiceOf(session.engine, 'rotorDirection') as 'cw' | 'ccw' | undefined);
  const tower = $derived(session.state.readings.findLast((r) => r.slot === 'tower')?.value ?? null);
  const move = $derived(latest ? housingText(latest, len) : null);
  const limits = $derived(
    work.minBtdc === null && work.maxBtdc === null ? null : timingLimits(work.minBtdc, work.maxBtdc)
  );
  const source = $derived.by(() => {
    const { least, most } = step.slots.find((s) => s.slot === work.slot)?.limits ?? {};
    const { values } = session.engine;
    return (values[least ?? ''] ?? values[most ?? ''])?.source ?? '';
  });
  const help = $derived.by(() => {
    if (!latest) return '';
    const asks = limits
      ? `${source.charAt(0).toUpperCase()}${source.slice(1)} allows ${limits}.`
      : 'The data sheet sets no limits: not judged.';
    if (!work.markKnown)
      return `${asks} True TDC was not found, so the mark’s error is not taken off and nothing is judged.`;
    if (latest.verdict?.state === 'unsure') return `${asks} What narrows it most stands below.`;
    return work.targetBtdc === null ? asks : `${asks} Target ${formatTiming(work.targetBtdc)}.`;
  });
  const before = $derived(step.role === 'strobe' ? againstBefore(session.state) : null);
  const repeats = $derived(line.prefer ? line.prefer === 'again' : work.nextIsRepeat);
</script>

{#if session.state.schools.trigger.option === 'spark' && step.schools.includes('trigger')}
  <Caution
    ><p>
      <b>Ignition on with the engine at rest: high voltage.</b> Spare leads grounded, openings clear of fuel, injection
      shut: every flash may also trigger it. Do not leave it on for long.
      <span class="defer">Defers to occupational health advice.</span>
    </p></Caution
  >
{/if}
{#if session.state.work.mark}
  <p class="way">
    The mark’s error is taken off: {Math.abs(session.state.work.mark.errorDeg) <= 2 * session.state.work.mark.uDeg
      ? 'the mark agrees with true TDC'
      : `the mark stands ${session.state.work.mark.errorDeg > 0 ? 'early' : 'late'}`}
    ({Math.abs(session.state.work.mark.errorDeg).toFixed(2)}° {words.plusMinus(session.state.work.mark.uDeg)}°){session
      .state.work.mark.from
      ? `, as the job of ${dateText(session.state.work.mark.from.at, prefs)} proved it`
      : ''}.
  </p>
{/if}
<div class="beside">
  {#if order && rotor}
    <Cap
      {order}
      {rotor}
      ratio={numberOf(session.engine, 'ratio') ?? null}
      firingDeg={listOf(session.engine, 'firingOffsets')}
      firstBearing={tower}
      housing={latest?.move && latest.verdict?.state !== 'in' ? { turn: latest.move.turn, text: move ?? '' } : null}
    />
  {/if}
  <div class="read" role="group" aria-label="Readings">
    <table>
      <caption class="only-read">Settings of the housing with their readings</caption>
      <thead
        ><tr
          ><th>setting</th><th class="n">read</th><th class="n">mark taken off</th><th
            ><span class="only-read">verdict</span></th
          ></tr
        ></thead
      >
      <tbody>
        {#each work.rows as r (r.n)}
          <tr>
            <td>{r.n}</td>
            <td class="n"
              >{#each r.readings as x (x.id)}<div>
                  <ReadingText reading={x} {prefs} unsent={session.unsent.has(x.id)} {onamend} />
                  {#if !r.counted.includes(x)}<span class="quiet">another gauge: not counted</span>{/if}
                </div>{/each}</td
            >
            <td class="n"
              ><div class="whole">{formatTiming(r.btdc, 2)}</div>
              {words.plusMinus(r.uDeg)}°</td
            >
            <td
              >{#if r.verdict}<Verdict state={r.verdict.state} size={14} />{/if}</td
            >
          </tr>
        {:else}
          <tr><td colspan="4" class="quiet">No reading yet.</td></tr>
        {/each}
      </tbody>
    </table>
    {#if latest}
      <Result
        value={formatTiming(latest.btdc, 2)}
        pm="{words.plusMinus(latest.uDeg)}°"
        verdict={latest.verdict?.state ?? null}
        {help}
      />
      {#if move && latest.verdict?.state !== 'in'}<p class="move" data-testid="housing">{move}.</p>{/if}
      {#if before}<p class="note" data-testid="before">It stands {beforeAfterText(before)}.</p>{/if}
      <TimingBasis
        {work}
        doubt={settingDoubt(
          latest,
          work.markKnown,
          session.reach(step.slots.find((x) => x.slot === work.slot)?.gauge ?? 'strobe'),
          tdcDoubt(session.state.work.tdc, session.engine, session.reach, len)?.remedies ?? []
        )}
        {line}
        {len}
        ways={session.sheet.words.schools['trigger']}
        asksRim={step.slots.some((x) => x.slot === 'rim')}
      />
      <fieldset>
        <legend class="only-read">What the next reading is</legend>
        <label
          ><input type="radio" name="next-reading" checked={!repeats} onchange={() => (line.prefer = 'turned')} /> the next
          reading is after turning the housing</label
        >
        <label
          ><input type="radio" name="next-reading" checked={repeats} onchange={() => (line.prefer = 'again')} /> it repeats
          this setting</label
        >
      </fieldset>
    {/if}
  </div>
</div>

<style>
  .way {
    font-size: var(--t2);
    color: var(--ink-2);
    margin-bottom: 10px;
  }
  .whole {
    white-space: nowrap;
  }
  .move {
    font-size: var(--t4);
    font-weight: 640;
    color: var(--target);
    margin-bottom: 8px;
  }
  fieldset label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 36px;
    font-size: var(--t2);
  }
  input {
    width: 18px;
    height: 18px;
    accent-color: var(--ink);
  }
</style>
