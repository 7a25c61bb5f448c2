<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { numberOf } from '$core/engine/engine.ts';
  import LoadMap from '../../curves/LoadMap.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import ReadingText from '../../job/ReadingText.svelte';

  let { session, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.vacuum);
  const sweep = $derived(session.state.work.sweeps.findLast((s) => s.baseline) ?? null);
  const place = (rpm: string, kpa: string) => {
    const [r, k] = [numberOf(session.engine, rpm), numberOf(session.engine, kpa)];
    return r === undefined || k === undefined ? null : { rpm: r, kpa: k };
  };
  const holds = [
    ['hold-start', 'pump stopped at'],
    ['hold-end', 'after waiting'],
    ['hold-seconds', 'seconds waited']
  ] as const;
  const of = (slot: string) => session.state.readings.findLast((r) => r.slot === slot) ?? null;
  function readNext(slot: string) {
    line.prefer = slot;
    document.getElementById('reading')?.focus();
  }
</script>

<div class="fig">
  <table>
    <caption class="only-read">Timing over depression</caption>
    <thead><tr><th class="n">depression</th><th class="n">timing</th><th class="n">added</th></tr></thead>
    <tbody>
      {#each w.points as p (p.kpa.id)}
        <tr
          ><td class="n"><ReadingText reading={p.kpa} {prefs} unsent={session.unsent.has(p.kpa.id)} {onamend} /></td><td
            class="n"
            >{#if p.deg}<ReadingText
                reading={p.deg}
                {prefs}
                unsent={session.unsent.has(p.deg.id)}
                {onamend}
              />{:else}next{/if}</td
          ><td class="n">{p.addedDeg === null ? '' : `${p.addedDeg.toFixed(1)}°`}</td></tr
        >
      {:else}<tr><td colspan="3" class="quiet">Begin with no depression: what is added counts from there.</td></tr
        >{/each}
    </tbody>
  </table>
  <div>
    <table>
      <caption class="only-read">Does the diaphragm hold?</caption>
      <thead><tr><th>diaphragm</th><th class="n">read</th></tr></thead>
      <tbody>
        {#each holds as [slot, label] (slot)}
          {@const r = of(slot)}
          <tr
            ><td><button class="link" onclick={() => readNext(slot)}>{label}</button></td><td class="n"
              >{#if r}<ReadingText reading={r} {prefs} unsent={session.unsent.has(r.id)} {onamend} />{:else}<span
                  class="quiet">to read</span
                >{/if}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
    {#if w.hold}
      <p class="note">
        <Verdict state={w.hold.state} size={15} /> It loses {w.hold.lossKpaPerMin.toFixed(1)} kPa a minute of at most {w
          .hold.most}{w.hold.rule ? ' (rule of thumb: the data sheet has no figure)' : ''}.
      </p>
    {/if}
  </div>
</div>
{#if sweep?.baseline}
  <h2>Total timing over speed and depression</h2>
  <LoadMap
    initialBtdc={sweep.initialBtdc ?? 0}
    centrifugal={sweep.baseline}
    vacuum={w.curve}
    idle={place('idleRpm', 'idleKpa')}
    cruise={place('cruiseRpm', 'cruiseKpa')}
    maxRpm={Math.ceil((sweep.fit?.fullRpm ?? 3000) / 500) * 500 + 500}
  />
  <p class="note">
    Vacuum {w.curveFrom === 'read'
      ? 'as read on this job'
      : w.curveFrom === 'sheet'
        ? 'as the data sheet has it'
        : 'not known: none is added'}.
  </p>
{/if}

<style>
  .fig {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
    gap: 24px;
    align-items: start;
  }
  h2 {
    margin: 14px 0 6px;
  }
</style>
