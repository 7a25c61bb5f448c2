<script lang="ts">
  /** Progress as a graduated scale: a tick a step, every fifth long, ink as far as the work has come. */
  let { done, total }: { done: number; total: number } = $props();
  const gap = $derived(total > 24 ? 5 : 9);
  const ticks = (from: number, to: number) => {
    let d = '';
    for (let k = from; k <= to; k++) d += `M${1 + k * gap} ${k % 5 === 0 ? 2 : 5}V12`;
    return d;
  };
</script>

<svg width={total * gap + 3} height="14" role="img" aria-label="{done} of {total} steps">
  <path d="M1 12H{1 + total * gap}{ticks(done + 1, total)}" class="rest" />
  <path d="M1 12H{1 + done * gap}{ticks(0, done)}" class="done" />
</svg>

<style>
  svg {
    display: block;
    max-width: 100%;
  }
  path {
    fill: none;
  }
  .rest {
    stroke: var(--rule);
    stroke-width: 1.4;
  }
  .done {
    stroke: var(--ink);
    stroke-width: 2.2;
  }
</style>
