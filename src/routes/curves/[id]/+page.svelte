<script lang="ts">
  import { recurveWork } from '$core/domains/recurve/recurve-work.ts';
  import { sweepFinding } from '$core/domains/curves/sweep-work.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import { intervalsFinding } from '$core/domains/curves/lobes-work.ts';
  import { dateText } from '$lib/reader/dates.ts';
  import { numberOf, vacuumCurveOf } from '$core/engine/engine.ts';
  import { stateOf } from '$lib/ui/job/state-memo.ts';
  import CurveTable from '$lib/ui/curves/CurveTable.svelte';
  import LoadMap from '$lib/ui/curves/LoadMap.svelte';
  import LobeCircle from '$lib/ui/curves/LobeCircle.svelte';
  import Recurve from '$lib/ui/curves/Recurve.svelte';
  import { TargetHand } from '$lib/ui/curves/target.svelte.ts';
  import TargetTable from '$lib/ui/curves/TargetTable.svelte';
  import Frame from '$lib/ui/primitives/Frame.svelte';

  let { data } = $props();
  const now = $derived(data.sheet ? stateOf(data.sheet, data.engine, data.log, data.domains) : null);
  const work = $derived(now?.work ?? null);
  // the newest sweep that shows a curve is the one that other springs are worked out from
  const sweep = $derived(work?.sweeps.findLast((s) => s.fit) ?? work?.sweeps[0] ?? null);
  // other springs are worked out from whatever job has swept the curve
  const recurve = $derived(now ? recurveWork(data.engine, now.replayed, now.work.sweeps[0] ?? null) : null);
  const hand = new TargetHand(() => recurve?.target ?? []);
  const finding = $derived(
    (sweep && sweepFinding(sweep, data.engine)) ??
      (data.spacing && intervalsFinding(data.spacing.output)) ??
      `No curve of ${data.engine.name} has been measured`
  );
  const up = $derived(sweep?.points.filter((p) => p.deg !== null && p.dir === 'up').length ?? 0);
  const down = $derived(sweep?.points.filter((p) => p.deg !== null && p.dir === 'down').length ?? 0);
  const place = (rpm: string, kpa: string) => {
    const [r, k] = [numberOf(data.engine, rpm), numberOf(data.engine, kpa)];
    return r === undefined || k === undefined ? null : { rpm: r, kpa: k };
  };
  const source = $derived(data.engine.values['advanceBand']?.source ?? null);
  const vacuum = $derived(work && work.vacuum.curve.length ? work.vacuum.curve : (vacuumCurveOf(data.engine) ?? []));
  let shown = $state<'curve' | 'map' | 'lobes'>('curve');
  const views = [
    ['curve', 'Curve and springs'],
    ['map', 'Load map'],
    ['lobes', 'Spacing of the sparks']
  ] as const;
</script>

<svelte:head><title>{data.engine.name}: curves · Nemrik</title></svelte:head>
<Frame>
  {#snippet subject()}<b>{data.engine.name}</b> · curves{/snippet}
  <main id="main">
    <h1>{finding}</h1>
    <p class="quiet">
      {#if sweep}Measured {up} points up, {down} down{sweep.bench
          ? ', on the bench, doubled once for the crank'
          : ', on the engine'}{now?.work.mark
          ? `, the mark’s ${Math.abs(now.work.mark.errorDeg).toFixed(1)}° ${now.work.mark.errorDeg > 0 ? 'early' : 'late'} taken off`
          : ''}.{/if}
      {source ? `Limits: ${source}.` : 'The data sheet has no limits for the curve: nothing is judged.'}
      {#if data.job}<a href="/jobs/{data.job.id}">To the job</a>{:else}<a href="/jobs/new">Open a job to measure it</a
        >{/if}
    </p>
    <div class="views" role="group" aria-label="What is shown">
      {#each views as [id, label] (id)}<button aria-pressed={shown === id} onclick={() => (shown = id)}>{label}</button
        >{/each}
    </div>
    {#if shown === 'curve'}
      {#if recurve}
        <Recurve
          engine={data.engine}
          {sweep}
          work={recurve}
          stock={data.stock}
          {hand}
          clock={data.prefs}
          height={430}
        />
        <div class="tables">
          {#if sweep}<section aria-label="Measured points">
              <h2>Measured</h2>
              <CurveTable {sweep} />
            </section>{/if}
          <section aria-label="Target">
            <h2>Target</h2>
            <TargetTable {hand} from={recurve.targetFrom} />
          </section>
        </div>
        <p class="quiet small">
          A target moved here is looked at, not logged: parts are taken on the job, at “Springs and stop chosen”.
        </p>
      {:else}
        <p>
          Open a job “Verify timing and curve with the strobe”, “Recurve the advance” or “Check a distributor on the
          bench”: its sweep is drawn here, over the data sheet’s limits.
        </p>
      {/if}
    {:else if shown === 'map'}
      {#if sweep?.baseline}
        <LoadMap
          initialBtdc={sweep.initialBtdc ?? 0}
          centrifugal={sweep.baseline}
          {vacuum}
          idle={place('idleRpm', 'idleKpa')}
          cruise={place('cruiseRpm', 'cruiseKpa')}
          maxRpm={Math.ceil((sweep.fit?.fullRpm ?? 3000) / 500) * 500 + 500}
        />
        <p class="quiet small">
          {vacuum.length
            ? 'Vacuum as read on the job, or as the data sheet has it.'
            : 'No vacuum advance is known: none is added.'}
          Total = initial {(sweep.initialBtdc ?? 0).toFixed(1)}° + weights + vacuum.
        </p>
      {:else}<p>The map needs a swept curve: six points going up at least.</p>{/if}
    {:else if data.spacing}
      {@const out = data.spacing.output}
      <div class="lobes">
        <LobeCircle
          {out}
          cylinders={out.errors.map((e) => e.cylinder)}
          toleranceDeg={data.spacing.input.toleranceDeg}
        />
        <div>
          <h2>{intervalsFinding(out)}</h2>
          <p class="quiet small">
            Read on <a href="/jobs/{data.spacing.jobId}">{dateText(data.spacing.at, data.prefs)}</a>. Run-out {out.runOutDeg.toFixed(
              2
            )}° explains {(100 * out.explained).toFixed(0)} % of it. Distributor degrees.
          </p>
          <table>
            <thead><tr><th>cylinder</th><th class="n">off its place</th></tr></thead>
            <tbody
              >{#each out.errors as e (e.cylinder)}<tr
                  ><td>{e.cylinder}</td><td class="n"
                    >{Math.abs(e.errorDeg).toFixed(2)}° {e.errorDeg > 0 ? 'late' : 'early'}</td
                  ></tr
                >{/each}</tbody
            >
          </table>
        </div>
      </div>
    {:else}<p>No spacing was read yet: a job “Check a distributor on the bench” has a step for it.</p>{/if}
    {#if sweep?.fit && shown === 'curve'}
      <p class="only-read">
        Begins at {formatSpeed(sweep.fit.startRpm)}, all in at {formatSpeed(sweep.fit.fullRpm)} rpm.
      </p>
    {/if}
  </main>
</Frame>

<style>
  main {
    background: var(--sheet);
    padding: 14px 22px;
    overflow: auto;
  }
  .views {
    display: flex;
    flex-wrap: wrap;
    width: fit-content;
    border: 1.5px solid var(--ink);
    margin: 8px 0 12px;
  }
  .views button {
    min-height: 44px;
    padding: 6px 16px;
    border: 0;
    border-right: 1px solid var(--rule);
    background: none;
    cursor: pointer;
  }
  .views button:last-child {
    border-right: 0;
  }
  .views button[aria-pressed='true'] {
    background: var(--ink);
    color: var(--sheet);
    font-weight: 620;
  }
  .tables,
  .lobes {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
    gap: 26px;
    align-items: start;
    margin-top: 12px;
  }
</style>
