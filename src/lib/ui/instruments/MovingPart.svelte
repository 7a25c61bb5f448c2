<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    /** the drawing's own size, in its units: the part lies over the whole of it */
    size: { width: number; height: number };
    /** what it turns and stretches about, in the drawing's units */
    about: { x: number; y: number };
    /** where it is, as a CSS transform; see `shift` for lengths in the drawing's units */
    transform: string;
    children: Snippet;
  }
  let { size, about, transform, children }: Props = $props();
</script>

<!-- A part that moves over a drawing, in a layer of its own: moving it lays nothing out and paints nothing anew. -->
<svg
  class="drawing moving"
  viewBox="0 0 {size.width} {size.height}"
  aria-hidden="true"
  style:transform
  style:transform-origin="{(100 * about.x) / size.width}% {(100 * about.y) / size.height}%">{@render children()}</svg
>

<style>
  .moving {
    position: absolute;
    inset: 0;
    max-width: none;
    height: 100%;
    overflow: visible;
    pointer-events: none;
    will-change: transform;
  }
</style>
