<script lang="ts">
  import PlaceParts from '../../instruments/places/PlaceParts.svelte';
  import { placeOf } from '../../instruments/places/place.ts';
  import { drawingOf } from '../../instruments/places/places.ts';
  import Readings from '../Readings.svelte';
  import type { SurfaceProps } from '../props.ts';

  /** The place where a step is done, with what the hand touches; what is found of a part is put down by touching it. */
  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const place = $derived(placeOf(Object.keys(step.handles)[0]!));
  const drawing = $derived(drawingOf(place));
  const chosen = $derived(session.state.replayed.chosen);
  const found = $derived(
    new Map(
      step.choices.flatMap((c) => {
        const option = c.options.find((o) => o.id === chosen.get(c.id));
        const part = option?.part ?? c.part;
        return option && part ? [[part, { text: option.label }] as const] : [];
      })
    )
  );
  /** the question that a part answers: one of its options is that part, or it is about the part */
  const asks = $derived(
    new Map(
      step.choices.flatMap((c) => [
        ...(c.part ? [[c.part, { c, option: null as string | null }] as const] : []),
        ...c.options.flatMap((o) => (o.part ? [[o.part, { c, option: o.id as string | null }] as const] : []))
      ])
    )
  );
  const answers = $derived(new Set(asks.keys()));
  function pick(part: string) {
    const q = asks.get(part)!;
    if (q.option !== null) session.say({ kind: 'choose', school: q.c.id, option: q.option });
    else toAnswers(q.c.id);
  }
  /** to the answers of a question, wherever they stand on the page */
  function toAnswers(id: string) {
    const group = document.getElementById(`asks-${id}`)?.parentElement;
    group?.closest('details')?.setAttribute('open', '');
    (group?.querySelector<HTMLElement>('[aria-pressed=true]') ?? group?.querySelector<HTMLElement>('button'))?.focus();
  }
</script>

{#if drawing}
  <PlaceParts
    {drawing}
    names={session.sheet.words.parts}
    touched={step.handles}
    {found}
    {answers}
    onpick={session.state.closed ? undefined : pick}
  />
{/if}
<Readings {session} {stepId} {line} {prefs} {onamend} />
