<!-- How to tell the hand of a gear: two rules that must agree. -->
<figure>
  <svg
    class="drawing"
    viewBox="0 0 330 130"
    role="img"
    aria-label="Gear axis upright: teeth that rise to the right are right-hand, to the left left-hand"
  >
    {#each [{ x: 20, d: 1, name: 'right-hand' }, { x: 185, d: -1, name: 'left-hand' }] as g (g.name)}
      <rect x={g.x} y="14" width="120" height="74" class="gear" />
      {#each [0, 1, 2, 3, 4] as k (k)}
        <path d="M{g.x + 14 + k * 20 + (g.d < 0 ? 12 : 0)} 88l{12 * g.d} -74" class="tooth" />
      {/each}
      <path d="M{g.x + 60} 4V14M{g.x + 60} 88V98" class="axis" />
      <text x={g.x + 60} y="116" class="label">{g.name}</text>
    {/each}
  </svg>
  <figcaption>
    Hold the axis upright: teeth that rise to the right are right-hand. Then hold a common screw beside it: a thread
    that leans the same way is right-hand too. Both must agree.
  </figcaption>
</figure>

<style>
  .label {
    text-anchor: middle;
    fill: var(--ink);
  }
  figure {
    margin: 12px 0 0;
  }
  svg {
    max-width: 330px;
  }
  .tooth {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .axis {
    stroke: var(--ink-2);
    stroke-dasharray: 3 2;
  }
  figcaption {
    font-size: var(--t2);
    color: var(--ink-2);
    max-width: 46ch;
  }
</style>
