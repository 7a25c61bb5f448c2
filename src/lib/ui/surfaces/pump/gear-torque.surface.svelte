<script lang="ts">
  import { numberOf } from '$core/engine/engine.ts';
  import { formatValue } from '$core/units/format.ts';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const first = $derived(step.slots.some((s) => s.slot === 'torque-first'));
  const wanted = $derived(numberOf(session.engine, first ? 'firstTorqueNm' : 'finalTorqueNm') ?? null);
  const locked = $derived(session.state.flags.has('pump-locked'));
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
{#if wanted !== null}
  <p>
    {first ? 'First' : 'Final'} torque wanted: <b>{formatValue(wanted, 'Nm', 1)}</b>, {session.engine.values[
      first ? 'firstTorqueNm' : 'finalTorqueNm'
    ]!.source}.
  </p>
{/if}
<p class="note">
  {locked
    ? 'The lock is in. It carries the first torque and the force of a hand, never the final torque.'
    : 'The lock is out, or in its running place.'}
</p>
