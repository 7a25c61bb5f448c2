<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { floatDoubt } from '$core/domains/stack/float-doubt.ts';
  import { lastPatch } from '$core/domains/stack/patch-work.ts';
  import { floatToFill } from '$core/domains/stack/picks.ts';
  import { NO_TRIAL, whatIf, type Trial } from '$core/domains/stack/what-if.ts';
  import { lengthPm } from '$core/job/words.ts';
  import { fixed } from '$core/units/format.ts';
  import StackDrawing, { type Mark } from '../../instruments/stack/StackDrawing.svelte';
  import Verdict from '../../primitives/Verdict.svelte';
  import { lengthText } from '../../../reader/units.ts';
  import Doubt from '../Doubt.svelte';
  import Picks from '../Picks.svelte';
  import Readings from '../Readings.svelte';
  import TryOut from './TryOut.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();

  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const work = $derived(session.state.work.stack);
  const patch = $derived(lastPatch(session.state.work.patches));
  const len = $derived(lengthText(prefs));
  const doubt = $derived(step.slots.some((s) => s.slot === 'gap') ? floatDoubt(work, session.reach) : null);
  let trial = $state<Trial>({ ...NO_TRIAL });
  /** a pick looked at before it is taken */
  let looked = $state<number | null>(null);
  const tried = $derived(looked === null ? trial : { ...trial, packingMm: looked - (work.packingMm?.value ?? 0) });
  const changed = $derived(tried.packingMm !== 0 || !tried.gasket || tried.collarMm !== 0 || tried.shimMm !== 0);
  const lines = $derived(whatIf(session.engine, work, patch, tried, len));
  const of = (key: string) => lines.find((l) => l.key === key) ?? null;
  const text = (key: string) => {
    const l = of(key)!;
    return l.u === null ? len(l.then, 3) : lengthPm(len, l.then, l.u);
  };
  const underMm = $derived((work.packingMm?.value ?? 0) + tried.packingMm);
  // under a pedestal lies packing; the gasket is between it and the distributor
  const gasketMm = $derived(tried.gasket && work.kind === 'own-gear' ? (work.gasket?.value ?? 0) : 0);
  const fill = $derived(floatToFill(session.state, step.takes[0] === 'shim' ? 'shim' : 'packing'));
  const washerIn = $derived(session.state.flags.has('gauge-washer-in'));
  const moves = (l: { now: number; then: number }) => Math.abs(l.then - l.now) > 1e-9;
  const marks = $derived.by((): Mark[] => {
    const out: Mark[] = [];
    const add = (key: Mark['key'], label: string, from: string) => {
      const l = of(from);
      if (l) out.push({ key, label, value: text(from), state: l.stateThen, trial: moves(l) });
    };
    add('float', 'end float', 'float');
    if (underMm > 0 || gasketMm > 0)
      out.push({
        key: 'under',
        label: underMm > 0 ? 'packing' : 'gasket',
        value: underMm > 0 ? len(underMm, 3) : len(gasketMm, 2),
        state: null,
        trial: tried.packingMm !== 0
      });
    if (washerIn)
      out.push({
        key: 'washer',
        label: 'gauge washer',
        value: work.bare ? len(work.bare.washerMm, 3) : 'in',
        state: null,
        trial: false
      });
    add('engagement', 'oil-pump drive engaged', 'engagement');
    add('clearance', 'left before it bottoms', 'clearance');
    const c = of('patch');
    if (c)
      out.push({
        key: 'patch',
        label: 'contact, centre of the tooth',
        value: `${c.then.toFixed(0)} %`,
        state: c.stateThen,
        trial: moves(c)
      });
    return out;
  });
  const band = $derived.by(() => {
    const c = of('patch');
    if (!c || !patch?.pattern) return null;
    const half = patch.pattern.lengthFraction / 2;
    return { low: Math.max(0, c.then / 100 - half), high: Math.min(1, c.then / 100 + half) };
  });
  const figure = (l: { unit: string }, x: number) =>
    l.unit === 'mm' ? len(x, 3) : l.unit === 'deg' ? `${fixed(x, 2)}°` : `${fixed(x, 0)} %`;
</script>

<div class="beside">
  <StackDrawing
    kind={work.kind}
    shape={{
      floatMm: of('float')?.then ?? null,
      packingMm: Math.max(0, underMm),
      gasketMm,
      engagementMm: of('engagement')?.then ?? null,
      clearanceMm: of('clearance')?.then ?? null
    }}
    patch={band}
    {marks}
    {washerIn}
  />
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if step.slots.some((s) => s.slot === 'gap') && work.tiltMm !== null}
      <p class="note">
        {work.tiltMm > 0.04 ? 'The face is tilted' : 'Places agree'}: {len(work.tiltMm, 3)} between the widest and the narrowest
        gap.
      </p>
    {/if}
    {#if doubt}<Doubt {...doubt} pm={(u) => `± ${len(2 * u, 3)}`} open={work.float?.verdict?.state === 'unsure'} />{/if}
    {#if step.takes.length}<Picks {session} {step} {prefs} from={fill} onlook={(mm) => (looked = mm)} />{/if}
  </div>
</div>

{#if lines.length}
  <table class="lines">
    <caption class="only-read">What the stack comes to{changed ? ', with the trial' : ''}</caption>
    <thead
      ><tr
        ><th>figure</th><th class="n">as it is</th>{#if changed}<th class="n">with the trial</th>{/if}<th>limit</th><th
          >{changed ? 'verdict with the trial' : 'verdict'}</th
        ></tr
      ></thead
    >
    <tbody>
      {#each lines as l (l.key)}
        <tr>
          <td>{l.label}</td>
          <td class="n">{l.u === null ? figure(l, l.now) : lengthPm(len, l.now, l.u)}</td>
          {#if changed}<td class="n then">{moves(l) ? figure(l, l.then) : 'same'}</td>{/if}
          <td class="quiet">{l.limit}</td>
          <td>
            {#if l.stateThen}<Verdict state={l.stateThen} size={14} />{/if}
            {#if l.fallsOut}<b class="falls">newly out</b>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  <TryOut bind:trial kind={work.kind} {changed} onclear={() => ((trial = { ...NO_TRIAL }), (looked = null))} {prefs} />
{:else}
  <p class="quiet">The figures of the drive appear here as they are measured.</p>
{/if}

<style>
  .lines {
    margin-top: 12px;
  }
  .lines .n {
    white-space: nowrap;
  }
  .then {
    color: var(--predicted);
    font-weight: 620;
    text-decoration: underline dashed;
    text-underline-offset: 4px;
  }
  .falls {
    color: var(--out);
    margin-left: 6px;
  }
</style>
