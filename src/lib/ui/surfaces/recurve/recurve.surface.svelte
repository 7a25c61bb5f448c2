<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import type { Match } from '$core/calculations/curve/curve-match.ts';
  import Recurve from '../../curves/Recurve.svelte';
  import { TargetHand } from '../../curves/target.svelte.ts';

  let { session, stepId, prefs }: SurfaceProps = $props();
  const work = $derived(session.state.work);
  const hand = new TargetHand(() => session.state.work.recurve.target);

  function take(m: Match) {
    if (hand.moved && session.say({ kind: 'target', step: stepId, points: hand.points })) return;
    hand.drop();
    if (session.say({ kind: 'take', step: stepId, part: 'spring', items: [...m.springs] })) return;
    if (session.say({ kind: 'take', step: stepId, part: 'stop', items: [m.stop] })) return;
    session.say({
      kind: 'remark',
      step: stepId,
      text: `Set the initial timing to ${m.initialBtdc}° before with these springs.`
    });
  }
</script>

<Recurve
  engine={session.engine}
  sweep={work.sweeps[0] ?? null}
  work={work.recurve}
  stock={session.stock}
  {hand}
  clock={prefs}
  height={225}
  ontake={take}
/>
