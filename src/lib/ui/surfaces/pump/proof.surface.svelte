<script lang="ts">
  import { whichToBelieve, type ProofWork } from '$core/domains/pump/proof-work.ts';
  import { plusMinus } from '$core/job/texts.ts';
  import { formatTiming } from '$core/units/format.ts';
  import Verdict from '../../primitives/Verdict.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const proofs = $derived(Object.values(session.state.work.proofs) as ProofWork[]);
  const believe = $derived(
    whichToBelieve(
      proofs.find((p) => p.what === 'lock'),
      proofs.find((p) => p.what === 'pin')
    )
  );
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
<table data-testid="proofs">
  <caption class="only-read">Proofs</caption>
  <thead
    ><tr
      ><th>proof</th><th class="n">must enter</th><th class="n">entered</th><th class="n">off by</th><th>verdict</th
      ></tr
    ></thead
  >
  <tbody>
    {#each proofs as p (p.what)}
      <tr
        ><td>{p.what === 'pin' ? 'Timing pin' : 'Pump\u2019s lock'}</td><td class="n"
          >{p.wantBtdc === null ? '' : p.what === 'pin' ? 'at TDC' : formatTiming(p.wantBtdc, 1)}</td
        ><td class="n"
          >{p.entered ? `${formatTiming(p.entered.btdc, 1)} ${plusMinus(p.entered.uDeg, 1)}°` : 'to read'}</td
        ><td class="n"
          >{p.offDeg === null ? '' : `${Math.abs(p.offDeg).toFixed(2)}° ${p.offDeg > 0 ? 'early' : 'late'}`}</td
        ><td
          >{#if p.verdict}<Verdict state={p.verdict.state} size={13} />
            <span class="quiet">of ± {p.within}°</span>{:else if p.entered}<span class="quiet"
              >no limit on the data sheet</span
            >{/if}</td
        ></tr
      >
    {/each}
  </tbody>
</table>
{#if believe}<p class="note" role="alert">{believe}</p>{/if}
<p class="note">Take lock or pin out at once when it was tried, and show it.</p>
