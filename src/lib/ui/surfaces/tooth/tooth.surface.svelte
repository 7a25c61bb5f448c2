<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { rivalText, withArc, type Arc } from '$core/domains/tooth/tooth-work.ts';
  import { list, turnWord } from '$core/job/words.ts';
  import { listOf } from '$core/engine/engine.ts';
  import { formatClock } from '$core/units/format.ts';
  import Cap from '../../instruments/cap/Cap.svelte';
  import FreeArc from '../../instruments/cap/FreeArc.svelte';
  import ToothTicks from '../../instruments/cap/ToothTicks.svelte';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const engine = $derived(session.engine);
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const asksArc = $derived(step.slots.some((s) => s.slot === 'arc-min'));
  const logged = $derived(session.state.work.tooth);
  /** an arc being dragged, until it is logged or dropped */
  let dragged = $state.raw<Arc | null>(null);
  const t = $derived(dragged ? withArc(engine, logged, dragged) : logged);
  const order = $derived(listOf(engine, 'firingOrder'));
  const best = $derived(t.index?.best ?? null);
  const rows = $derived(t.index?.candidates.slice(0, 4) ?? []);
  const found = $derived(t.index?.candidates.find((c) => c.toothStep === 0 && c.terminal === 0) ?? null);
  const teeth = $derived(
    t.rotorTargetDeg !== null && t.teeth !== null
      ? Array.from({ length: t.teeth }, (_, k) => t.rotorTargetDeg! + (k * 360) / t.teeth!)
      : []
  );
  const arc = $derived(t.arc ?? (asksArc ? { minBearingDeg: 315, maxBearingDeg: 45 } : null));
  const rotorAt = $derived(
    session.state.readings.findLast((r) => r.step === stepId && r.slot === 'rotor')?.value ??
      t.observed?.bearingDeg ??
      null
  );
  const steps = (k: number) =>
    k === 0 ? 'as found' : `${Math.abs(k) === 1 ? 'one' : Math.abs(k)} ${k > 0 ? 'clockwise' : 'anticlockwise'}`;

  function drag(min: number, max: number) {
    dragged = { minBearingDeg: min, maxBearingDeg: max };
  }
  function keep() {
    if (!dragged) return;
    const both: [string, number][] = [
      ['arc-min', dragged.minBearingDeg],
      ['arc-max', dragged.maxBearingDeg]
    ];
    for (const [slot, bearing] of both) {
      const refused = session.say({
        kind: 'reading',
        step: stepId,
        slot,
        quantity: 'bearing',
        text: String(bearing),
        defaultUnit: 'deg',
        gaugeId: null
      });
      if (refused) return;
    }
    dragged = null;
  }
</script>

<div class="beside" style="--first: 0.9fr">
  <div>
    {#if order && t.rotor}
      <Cap
        {order}
        rotor={t.rotor}
        ratio={t.ratio}
        firingDeg={listOf(engine, 'firingOffsets')}
        firstBearing={t.rotorTargetDeg}
        rotorBearing={rotorAt}
        also={best
          ? `best tooth brings the rotor to ${best.rotorBearingDeg.toFixed(0)} degrees, housing at ${best.housingBearingDeg.toFixed(0)}`
          : ''}
      >
        {#if arc}
          <FreeArc
            min={arc.minBearingDeg}
            max={arc.maxBearingDeg}
            trial={dragged !== null || t.arc === null}
            onchange={asksArc ? drag : undefined}
          />
        {/if}
        <ToothTicks
          {teeth}
          best={t.rotorTargetDeg}
          housing={best?.housingBearingDeg ?? null}
          start={t.stab && !asksArc
            ? { bearing: t.stab.startBearingDeg, turns: t.stab.dropTurns, to: t.rotorTargetDeg! }
            : null}
        />
      </Cap>
    {:else}
      <p class="quiet">The cap is drawn once the data sheet holds the firing order and the rotor’s direction.</p>
    {/if}
    {#if asksArc}
      <p class="note">
        Drag the two rings, or type the bearings: what lies between them, clockwise, is free for the housing’s datum.
      </p>
      {#if dragged}
        <p class="keep">
          <button class="button first" onclick={keep}>Log {dragged.minBearingDeg}° to {dragged.maxBearingDeg}°</button>
          <button class="link" onclick={() => (dragged = null)}>Back to what is logged</button>
        </p>
      {/if}
    {/if}
  </div>
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if asksArc && t.lacks.length && !t.index}
      <p class="note">Still to come: {list(t.lacks)}.</p>
    {/if}
    {#if t.error}<p class="note out" role="alert">{t.error.message}</p>{/if}
    {#if rows.length && asksArc}
      <table class="choices" data-testid="teeth">
        <caption class="only-read">Teeth that let the housing stand free, best first</caption>
        <thead
          ><tr><th>tooth</th><th class="n">rotor</th><th class="n">to advance</th><th class="n">to retard</th></tr
          ></thead
        >
        <tbody>
          {#each rows as c, k (`${c.toothStep} ${c.terminal}`)}
            <tr class:best={k === 0}>
              <td
                >{steps(c.toothStep)}{t.anyTower ? `, tower ${c.terminal + 1}` : ''}
                <div class="why">housing at {c.housingBearingDeg.toFixed(1)}°</div></td
              >
              <td class="n">{c.rotorBearingDeg.toFixed(1)}°</td>
              <td class="n" class:tight={c.advanceRoomDeg < 15}>{c.advanceRoomDeg.toFixed(1)}°</td>
              <td class="n" class:tight={c.retardRoomDeg < 15}>{c.retardRoomDeg.toFixed(1)}°</td>
            </tr>
            {#if k > 0}<tr class="because"><td colspan="4">{rivalText(c, best!, t.order)}</td></tr>{/if}
          {/each}
        </tbody>
      </table>
      <p class="note">
        Room in degrees of the crank. {t.index!.feasibleCount} of the {(t.teeth ?? 0) *
          (t.anyTower ? (order?.length ?? 1) : 1)} places let the housing stand free{found ||
        t.index!.feasibleCount === 0
          ? ''
          : '; as found, it meets an obstacle'}.
      </p>
    {:else if t.index?.nearest && asksArc}
      <p class="note out" role="alert">
        Nearest: {steps(t.index.nearest.toothStep)}, housing at {t.index.nearest.housingBearingDeg.toFixed(0)}°, {t.index.nearest.outsideDeg.toFixed(
          1
        )}° inside an obstacle. Free the arc, or choose another tower.
      </p>
    {/if}
    {#if t.stab && !asksArc}
      <dl class="pairs" data-testid="lead">
        <dt>Point the rotor at</dt>
        <dd>{formatClock(t.stab.startBearingDeg)} ({t.stab.startBearingDeg.toFixed(1)}°)</dd>
        <dt>It turns while it drops</dt>
        <dd>{t.stab.twistDeg.toFixed(1)}° {turnWord(t.stab.dropTurns)}</dd>
        <dt>and comes to rest at</dt>
        <dd>{formatClock(t.rotorTargetDeg!)} ({t.rotorTargetDeg!.toFixed(1)}°)</dd>
        <dt>The turn is</dt>
        <dd>{t.twistFrom === 'seen' ? 'as seen on lifting out' : 'from the helix over the travel'}</dd>
      </dl>
    {/if}
  </div>
</div>

<style>
  .choices {
    margin-top: 12px;
  }
  .choices th,
  .choices td {
    padding-right: 8px;
  }
  .best {
    font-weight: 640;
  }
  .because td {
    padding-top: 0;
  }
  tr:has(+ .because) td {
    border-bottom: 0;
  }
  .because,
  .why {
    font-size: var(--t1);
    font-weight: 400;
    color: var(--ink-2);
  }
  .tight {
    color: var(--out);
    font-weight: 640;
  }
  .out {
    color: var(--out);
    font-weight: 600;
  }
  .keep {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: center;
  }
</style>
