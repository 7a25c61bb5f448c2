<script lang="ts">
  import type { Snippet } from 'svelte';
  import { placeOf, transformOf, type Box, type Motion } from './motion.ts';

  interface Props {
    /** the drawing's own size, in its units */
    size: { width: number; height: number };
    /** what of the drawing the part covers before it moves: a tight one is quick to move */
    box: Box;
    /** what it turns and stretches about, in the drawing's units */
    about: { x: number; y: number };
    motion: Motion;
    children: Snippet;
  }
  let { size, box, about, motion, children }: Props = $props();
  const place = $derived(placeOf(box, size, about));
  const transform = $derived(transformOf(motion, box));
</script>

<!-- A part that moves over a drawing, in a layer of its own: moving it lays nothing out and paints nothing anew. -->
<svg
  class="drawing moving"
  viewBox="{box.x} {box.y} {box.width} {box.height}"
  aria-hidden="true"
  style:left={place.left}
  style:top={place.top}
  style:width={place.width}
  style:height={place.height}
  style:transform-origin={place.origin}
  style:transform>{@render children()}</svg
>

<style>
  .moving {
    position: absolute;
    max-width: none;
    overflow: visible;
    pointer-events: none;
    will-change: transform;
  }
</style>
