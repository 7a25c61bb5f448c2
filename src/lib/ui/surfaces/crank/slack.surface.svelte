<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { slackTaken } from '$core/calculations/crank/crank-plan.ts';
  import { degText } from '$core/job/texts.ts';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const slack = $derived(session.state.work.slack);
</script>

<Readings {session} {stepId} {line} {prefs} {onamend} />
<p class="note" data-testid="slack">
  {#if slack.from === 'measured'}
    The plan turns back by {degText(slackTaken(slack.deg))}: one and a half times the slack with its doubt, and 2°.
  {:else}
    Until it is measured the plan turns back by {degText(slackTaken(slack.deg))}{slack.from === 'data'
      ? ', from the data sheet\u2019s figure'
      : ', an eighth of a turn: a rule of thumb'}.
  {/if}
</p>
