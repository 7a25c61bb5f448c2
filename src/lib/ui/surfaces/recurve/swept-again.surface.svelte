<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import type { ModelError } from '$core/domains/recurve/recurve-work.ts';
  import { predictedBand, predictedPoints } from '../../curves/curve-series.ts';
  import Sweep, { type Expected } from '../curves/Sweep.svelte';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const work = $derived(session.state.work);
  const initial = $derived(work.sweeps.find((s) => s.step === stepId)?.initialBtdc ?? 0);
  const expected = $derived.by((): Expected | null => {
    const { predicted, springs } = work.recurve;
    if (!predicted) return null;
    return {
      predicted: [
        {
          label: springs.map((s) => s.name).join(' + '),
          points: predictedPoints(predicted, initial, 5000),
          band: predictedBand(predicted, initial, 5000)
        }
      ],
      missed: work.model && missedBy(work.model)
    };
  });
  const missedBy = ({ rmsDeg, worstDeg, within, n }: ModelError) =>
    `${rmsDeg.toFixed(2)}° rms, at most ${Math.abs(worstDeg).toFixed(1)}°; ${
      within === null ? 'no band was claimed' : `${within} of ${n} points in its band`
    }`;
</script>

<Sweep {session} {stepId} {prefs} {onamend} {expected} />
