<script lang="ts">
  import type { ScaleDrawing } from '$core/calculations/wheel/printed-scale.ts';
  let { drawing, label }: { drawing: ScaleDrawing; label: string } = $props();
</script>

<svg viewBox="0 0 {drawing.width} {drawing.height}" role="img" aria-label={label} data-paper>
  {#each drawing.lines as l, k (k)}<line x1={l.x1} y1={l.y1} x2={l.x2} y2={l.y2} stroke-width={l.weight} />{/each}
  {#each drawing.circles as c, k (k)}<circle cx={c.x} cy={c.y} r={c.r} class:fill={c.fill} />{/each}
  {#each drawing.texts as t, k (k)}<text x={t.x} y={t.y} font-size={t.size} text-anchor={t.anchor}>{t.text}</text
    >{/each}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    max-height: 430px;
    background: #fff;
    border: 1px solid var(--rule);
  }
  line {
    stroke: #15211d;
  }
  circle {
    fill: none;
    stroke: #15211d;
    stroke-width: 0.25;
  }
  circle.fill,
  text {
    fill: #15211d;
  }
</style>
