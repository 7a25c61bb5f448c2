<script lang="ts">
  import { lengthPm } from '$core/job/texts.ts';
  import { lengthText } from '../../../reader/units.ts';
  import Verdict from '../../primitives/Verdict.svelte';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const w = $derived(session.state.work.bodies);
  const len = $derived(lengthText(prefs));
</script>

<table data-testid="bodies">
  <caption class="only-read">The distributor that was in against the one that goes in</caption>
  <thead
    ><tr
      ><th>length</th><th class="n">old</th><th class="n">new</th><th class="n">differs by</th><th class="n">may, ±</th
      ><th>verdict</th></tr
    ></thead
  >
  <tbody>
    {#each w.rows as r (r.name)}
      <tr
        ><td>{r.name}</td><td class="n">{r.old === null ? '' : len(r.old, 2)}</td><td class="n"
          >{r.fresh === null ? '' : len(r.fresh, 2)}</td
        ><td class="n">{r.diff === null ? 'not compared' : lengthPm(len, r.diff, r.u!, 2)}</td><td class="n"
          >{r.within === null ? 'not known' : len(r.within, 2)}</td
        ><td
          >{#if r.verdict}<Verdict state={r.verdict.state} size={13} short />{:else}<span class="quiet">not judged</span
            >{/if}</td
        ></tr
      >
    {/each}
  </tbody>
</table>
<Readings {session} {stepId} {line} {prefs} {onamend} />
