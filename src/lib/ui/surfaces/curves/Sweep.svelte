<script module lang="ts">
  import type { CurvePicture } from '../../../reader/curve-picture.ts';

  /** What a sweep was predicted to be, drawn under it, and by how much it missed that. */
  export interface Expected {
    predicted: CurvePicture['predicted'];
    missed: string | null;
  }
</script>

<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { picture } from '../../../reader/curve-picture.ts';
  import { ghostOf } from '../../curves/curve-series.ts';
  import CurveChart from '../../curves/CurveChart.svelte';
  import CurveFiles from '../../curves/CurveFiles.svelte';
  import CurveTable from '../../curves/CurveTable.svelte';
  import { importSweep } from '../../curves/import-sweep.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import { plusMinus } from '$core/job/words.ts';
  import { dateText } from '../../../reader/dates.ts';
  import Verdict from '../../primitives/Verdict.svelte';

  let {
    session,
    stepId,
    prefs,
    onamend,
    expected = null
  }: Pick<SurfaceProps, 'session' | 'stepId' | 'prefs' | 'onamend'> & { expected?: Expected | null } = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const sweep = $derived(session.state.work.sweeps.find((s) => s.step === stepId)!);
  const pic = $derived(
    picture(session.engine, sweep, {
      ghost: ghostOf(session.engine.earlier?.['curve']?.output),
      predicted: expected?.predicted ?? []
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
        {#if expected?.missed}
          <dt>Prediction missed by</dt>
          <dd>{expected.missed}</dd>
        {/if}
      </dl>
    {/if}
    {#if sweep.problem && sweep.points.length}<p class="note">{sweep.problem.message}</p>{/if}
  </div>
</div>
