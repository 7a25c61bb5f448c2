<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import { heightToFill } from '$core/domains/rings/rings-work.ts';
  import Result from '../../job/Result.svelte';
  import { lengthText } from '../../../reader/units.ts';
  import Picks from '../Picks.svelte';
  import Readings from '../Readings.svelte';

  let { session, stepId, line, prefs, onamend }: SurfaceProps = $props();
  const step = $derived(session.sheet.steps.find((s) => s.id === stepId)!);
  const w = $derived(session.state.work.rings);
  const len = $derived(lengthText(prefs));
  const high = $derived(w.height ? Math.min(60, Math.max(6, (w.height.mm - (w.bare?.value ?? w.height.mm)) * 14)) : 6);
</script>

<div class="beside" style="--first: 0.6fr">
  <svg
    class="drawing"
    viewBox="0 0 260 250"
    role="img"
    aria-label="Drive shaft standing on {w.rings.length} thrust rings"
  >
    <path d="M10 196H86V240H174V196H250" class="line" />
    <path d="M10 40H80M180 40H250" class="line" />
    {#each w.rings.keys() as k (k)}
      <rect
        x="92"
        y={196 - ((k + 1) * high) / Math.max(1, w.rings.length)}
        width="76"
        height={Math.max(3, high / Math.max(1, w.rings.length) - 2)}
        class="ring"
      />
    {/each}
    <rect x="92" y={112 - high} width="76" height="84" class="gear" />
    <rect x="114" y={52 - high} width="32" height="60" class="gear" />
    <!-- read from the seat: what the rings add, they add to this -->
    <path d="M204 196V{52 - high}M198 196h12M150 {52 - high}h60" class="measure" />
    <text x="212" y={124 - high / 2} class="label start">height</text>
    <text x="130" y="22" class="label">joint of the case</text>
    <text x="130" y="232" class="label">seat</text>
  </svg>
  <div>
    <Readings {session} {stepId} {line} {prefs} {onamend} />
    {#if w.height}
      <Result
        value={len(w.height.mm, 2)}
        pm="± {len(2 * w.height.uMm, 2)}"
        verdict={w.height.verdict?.state ?? null}
        help={w.minMm === null
          ? 'The data sheet has no limits for the height of the shaft.'
          : `Height of the shaft, to lie from ${len(w.minMm, 2)} to ${len(w.maxMm ?? w.minMm, 2)}. Never more rings than drawn, unless the seat was machined and that is noted.`}
      />
    {/if}
    {#if step.takes.length}<Picks {session} {step} {prefs} from={heightToFill(w)} />{/if}
  </div>
</div>

<style>
  .label {
    text-anchor: middle;
  }
  svg {
    max-width: 300px;
  }
  .ring {
    fill: var(--ink);
  }
  .measure {
    fill: none;
    stroke: var(--target);
    stroke-width: 1.8;
  }
</style>
