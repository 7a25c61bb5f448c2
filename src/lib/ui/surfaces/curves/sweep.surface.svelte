<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { picture } from '../../../reader/curve-picture.ts';
  import { ghostOf, predictedBand, predictedPoints } from '../../curves/curve-series.ts';
  import CurveChart from '../../curves/CurveChart.svelte';
  import CurveFiles from '../../curves/CurveFiles.svelte';
  import CurveTable from '../../curves/CurveTable.svelte';
  import { importSweep } from '../../curves/import-sweep.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import { plusMinus } from '$core/job/words.ts';
  import { dateText } from '../../../reader/dates.ts';
  import Verdict from '../../primitives/Verdict.svelte';
  import ReadingText from '../../job/ReadingText.svelte';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const scatters = $derived(step.slots.some((s) => s.slot === 'spread'));
  const work = $derived(session.state.work);
  const sweep = $derived(work.sweeps.find((s) => s.step === stepId) ?? work.sweeps[0]!);
  const second = $derived(work.sweeps.indexOf(sweep) > 0 && !scatters);
  const pic = $derived(
    picture(session.engine, sweep, {
      ghost: ghostOf(session.engine.earlier?.['curve']?.output),
      predicted:
        second && work.recurve.predicted
          ? [
              {
                label: work.recurve.springs.map((s) => s.name).join(' + '),
                points: predictedPoints(work.recurve.predicted, sweep.initialBtdc ?? 0, 5000),
                band: predictedBand(work.recurve.predicted, sweep.initialBtdc ?? 0, 5000)
              }
            ]
          : []
    })
  );
  /** a curve that the readings do not settle says so */
  const pm = (u: number | null, digits: number, unit = '') =>
    u === null ? '± not known' : `${plusMinus(u, digits)}${unit}`;
  const slope = $derived(
    sweep.fit ? (1000 * (sweep.fit.fullDeg - sweep.fit.knots[0]!.deg)) / (sweep.fit.fullRpm - sweep.fit.startRpm) : 0
  );
  const title = $derived(`${session.engine.name} ${step.title}`);
</script>

{#if scatters}
  <table>
    <caption class="only-read">Scatter at steady speeds</caption>
    <thead><tr><th class="n">rpm</th><th class="n">width of the band</th><th class="n">limit</th></tr></thead>
    <tbody>
      {#each work.scatter.rows as r (r.rpm.id)}
        <tr
          ><td class="n"><ReadingText reading={r.rpm} {prefs} unsent={session.unsent.has(r.rpm.id)} {onamend} /></td><td
            class="n"
            >{#if r.spread}<ReadingText
                reading={r.spread}
                {prefs}
                unsent={session.unsent.has(r.spread.id)}
                {onamend}
              />{:else}next{/if}</td
          ><td class="n quiet"
            >{work.scatter.mostDeg === null ? 'none on the data sheet' : `${work.scatter.mostDeg}°`}</td
          ></tr
        >
      {:else}<tr><td colspan="3" class="quiet">No scatter read yet: type a speed, then the width of the band.</td></tr
        >{/each}
    </tbody>
  </table>
  <p class="note">
    {work.scatter.explainedDeg === null
      ? 'What float and backlash explain is not known: no float was measured on this engine, or the gear is not on its data sheet.'
      : `The timing may wander by ${work.scatter.explainedDeg.toFixed(2)}° through ${work.scatter.explainedBy} as measured on ${dateText(work.scatter.explainedAt!, prefs)}.`}
  </p>
{:else}
  <div class="beside">
    <div>
      <CurveChart picture={pic} label="Advance curve of {title}: the points stand in the table beside" height={330} />
      {#if sweep.bench}<p class="note">
          Read in distributor degrees and speeds; every point is doubled once, for the crank.
        </p>{/if}
      {#if !sweep.bench}
        <p class="note">
          {#if session.state.work.mark}The mark’s error, {Math.abs(session.state.work.mark.errorDeg).toFixed(1)}° {session
              .state.work.mark.errorDeg > 0
              ? 'early'
              : 'late'}{session.state.work.mark.from
              ? ` as proved on ${dateText(session.state.work.mark.from.at, prefs)}`
              : ''}, is taken off every reading.{:else}No job has proved this mark: its error is not known and not taken
            off.{/if}
        </p>
      {/if}
      <CurveFiles
        picture={pic}
        {title}
        gauges={session.gaugesOf(step.slots.find((s) => s.slot === 'sweep-deg')?.gauge ?? 'strobe')}
        onimport={(t, s, g) => importSweep(session, stepId, t, s, g)}
      />
    </div>
    <div>
      <CurveTable {sweep} {onamend} />
      {#if sweep.fit}
        <dl class="pairs" data-testid="fit">
          <dt>Initial, below the start</dt>
          <dd>{sweep.initialBtdc!.toFixed(1)}° {pm(sweep.fit.uInitialDeg, 1, '°')}</dd>
          <dt>Onset at</dt>
          <dd>{formatSpeed(sweep.fit.startRpm)} rpm {pm(sweep.fit.uStartRpm, 0)}</dd>
          <dt>All in at</dt>
          <dd>{formatSpeed(sweep.fit.fullRpm)} rpm {pm(sweep.fit.uFullRpm, 0)}</dd>
          <dt>From start to full</dt>
          <dd>{slope.toFixed(1)}° per 1,000 rpm {pm(sweep.fit.uSlope, 1, '°')}</dd>
          <dt>Total</dt>
          <dd>
            {sweep.fit.fullDeg.toFixed(1)}° {pm(sweep.total!.uDeg, 1, '°')}
            {#if sweep.total?.verdict}<Verdict state={sweep.total.verdict.state} size={13} />{/if}
          </dd>
          {#if sweep.compare?.hysteresisDeg != null}
            <dt>Down against up</dt>
            <dd>{sweep.compare.hysteresisDeg.toFixed(1)}°{sweep.compare.sticky ? ', sticky' : ''}</dd>
          {/if}
          {#if sweep.creep}
            <dt>In already at idle</dt>
            <dd>{sweep.creep.deg.toFixed(1)}° of at most {sweep.creep.most}°</dd>
          {/if}
          {#if second && work.model}
            <dt>Prediction missed by</dt>
            <dd>
              {work.model.rmsDeg.toFixed(2)}° rms, at most {Math.abs(work.model.worstDeg).toFixed(1)}°; {work.model
                .within === null
                ? 'no band was claimed'
                : `${work.model.within} of ${work.model.n} points in its band`}
            </dd>
          {/if}
        </dl>
      {/if}
      {#if sweep.problem && sweep.points.length}<p class="note">{sweep.problem.message}</p>{/if}
    </div>
  </div>
{/if}
