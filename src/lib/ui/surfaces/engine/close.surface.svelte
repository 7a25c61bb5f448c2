<script lang="ts">
  import { overruledText } from '$core/job/overruled-text.ts';
  import type { SurfaceProps } from '../props.ts';

  let { session }: SurfaceProps = $props();
  const state = $derived(session.state);
  const skipped = $derived(state.steps.filter((s) => s.state === 'skipped'));
  const left = $derived(
    state.steps.filter((s) => ['open', 'blocked', 'repeat'].includes(s.state) && s.step.surface !== 'close')
  );
</script>

<table>
  <caption class="only-read">What stays open</caption>
  <thead><tr><th>stays open</th><th>why</th></tr></thead>
  <tbody>
    {#each left as s (s.step.id)}<tr><td>{s.step.title}</td><td class="quiet">not done</td></tr>{/each}
    {#each skipped as s (s.step.id)}<tr><td>{s.step.title}</td><td>skipped: {s.mark!.reason}</td></tr>{/each}
    {#each state.replayed.overrides as o (o.id)}<tr
        ><td>{state.steps.find((s) => s.step.id === o.step)?.step.title}</td><td>{overruledText(session.sheet, o)}</td
        ></tr
      >{/each}
    {#each state.replayed.remarks as r (r.id)}<tr><td>remark</td><td>{r.text}</td></tr>{/each}
  </tbody>
</table>
{#if !left.length && !skipped.length && !state.replayed.overrides.length && !state.replayed.remarks.length}<p
    class="quiet"
  >
    Nothing stays open.
  </p>{/if}
{#if session.sheet.next}
  <p>
    What follows on this job: <a href="/jobs/new?engine={session.engine.id}&sheet={session.sheet.next}"
      >open the next one on this engine</a
    >. It begins where this one ends.
  </p>
{/if}
<p class="card">
  <a class="button" href="/jobs/{session.jobId}/card">Job card</a>
  <a class="button" href="/jobs/{session.jobId}/card.pdf">as PDF</a>
</p>

<style>
  table {
    max-width: 640px;
  }
  .card {
    margin-top: 14px;
  }
</style>
