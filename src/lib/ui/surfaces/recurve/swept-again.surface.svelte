<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { predictedBand, predictedPoints } from '../../curves/curve-series.ts';
  import Sweep, { type Expected } from '../../curves/Sweep.svelte';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const work = $derived(session.state.work);
  const initial = $derived(work.sweeps.find((s) => s.step === stepId)?.initialBtdc ?? 0);
  const expected = $derived.by((): Expected | null => {
    const { predicted, springs } = work.recurve;
    if (!predicted) return null;
    const m = work.model;
    const inBand = m?.within === null ? 'no band was claimed' : `${m?.within} of ${m?.n} points in its band`;
    return {
      predicted: [
        {
          label: springs.map((s) => s.name).join(' + '),
          points: predictedPoints(predicted, initial, 5000),
          band: predictedBand(predicted, initial, 5000)
        }
      ],
      missed: m && `${m.rmsDeg.toFixed(2)}° rms, at most ${Math.abs(m.worstDeg).toFixed(1)}°; ${inBand}`
    };
  });
</script>

<Sweep {session} {stepId} {prefs} {onamend} {expected} />
