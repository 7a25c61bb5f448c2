<script lang="ts">
  import type { VerdictState } from '$core/calculations/verdict/verdict.ts';
  import { EXAGGERATED, GEAR_HEIGHT, spread, stackPlaces, type StackShape } from './stack-geometry.ts';

  export interface Mark {
    key: 'float' | 'under' | 'engagement' | 'clearance' | 'patch' | 'washer';
    label: string;
    value: string;
    state: VerdictState | null;
    /** it is a trial, not a measure */
    trial: boolean;
  }
  interface Props {
    kind: 'pedestal' | 'own-gear' | 'open-case' | null;
    shape: StackShape;
    patch: { low: number; high: number } | null;
    marks: Mark[];
    washerIn: boolean;
    /** the drawing alone, its figures written beside it by whoever shows it */
    bare?: boolean;
  }
  let { kind, shape, patch, marks, washerIn, bare = false }: Props = $props();

  const p = $derived(stackPlaces(shape));
  const top = $derived(kind === 'own-gear' ? 'housing' : 'pedestal');
  const at = $derived({
    float: (p.thrust + p.gearTop) / 2,
    under: (p.flangeBottom + p.blockTop) / 2,
    washer: p.gearBottom + 2,
    engagement: (p.pumpTop + p.tangTip) / 2,
    clearance: (p.tangTip + p.slotBottom) / 2,
    patch: p.gearBottom - (patch ? ((patch.low + patch.high) / 2) * GEAR_HEIGHT : GEAR_HEIGHT / 2)
  });
  const edge = { washer: 134, float: 138, under: 182, engagement: 128, clearance: 128, patch: 138 };
  const labels = $derived(
    spread(
      marks.map((m) => at[m.key]),
      40,
      40,
      316
    )
  );
  const mark = { in: '✓', out: '×', unsure: '?' };
  const said = $derived(marks.map((m) => `${m.label} ${m.value}`).join('; '));
</script>

<figure>
  <svg
    class="drawing"
    class:bare
    viewBox={bare ? '0 0 200 348' : '0 0 400 348'}
    role="img"
    aria-label="The drive in section: {said}"
  >
    <defs>
      <pattern id="cut" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7" class="hatch" />
      </pattern>
      <pattern id="cut2" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <path d="M0 0V7" class="hatch" />
      </pattern>
    </defs>
    <!-- the block, both sides of the bore -->
    <path d="M8 {p.blockTop}H54V250H70V322H8Z" fill="url(#cut)" class="cut" />
    <path d="M192 {p.blockTop}H146V250H130V322H192Z" fill="url(#cut)" class="cut" />
    <!-- pedestal or housing: flange and boss around the shaft -->
    <path
      d="M14 {p.flangeBottom - 26}H186V{p.flangeBottom}H140V{p.thrust}H112V{p.flangeBottom -
        40}H88V{p.thrust}H60V{p.flangeBottom}H14Z"
      fill="url(#cut2)"
      class="cut"
    />
    {#if shape.packingMm > 0 || shape.gasketMm > 0}
      <rect x="14" y={p.flangeBottom} width="40" height={Math.max(2, p.blockTop - p.flangeBottom)} class="under" />
      <rect x="146" y={p.flangeBottom} width="40" height={Math.max(2, p.blockTop - p.flangeBottom)} class="under" />
    {/if}
    <!-- shaft, gear, tang -->
    <path d="M90 30V{p.gearTop}M110 30V{p.gearTop}" class="line" />
    <rect x="62" y={p.gearTop} width="76" height={GEAR_HEIGHT} class="gear" />
    {#each [0, 1, 2, 3, 4] as k (k)}
      <path d="M{64 + k * 15} {p.gearBottom}l14 -{GEAR_HEIGHT}" class="thin" />
    {/each}
    {#if patch}
      <rect
        x="66"
        y={p.gearBottom - patch.high * GEAR_HEIGHT}
        width="68"
        height={Math.max(2, (patch.high - patch.low) * GEAR_HEIGHT)}
        class="patch"
      />
    {/if}
    {#if washerIn}<rect x="66" y={p.gearBottom} width="68" height="5" class="washer" />{/if}
    <path d="M88 {p.gearBottom}V276H95V{p.tangTip}H105V276H112V{p.gearBottom}" class="line" />
    <!-- the oil pump's drive with its slot -->
    <path
      d="M76 {p.pumpTop}H93V{p.slotBottom}H107V{p.pumpTop}H124V{p.slotBottom + 18}H76Z"
      fill="url(#cut2)"
      class="cut"
    />
    {#if p.clamped}<rect x="62" y={p.gearTop} width="76" height={p.thrust - p.gearTop} class="clamp" />{/if}
    <text x="100" y="20" class="name mid">{top} and drive shaft</text>
    <text x="100" y="344" class="name mid">oil-pump drive</text>
    {#each bare ? [] : marks as m, k (m.key)}
      {@const y = labels[k]!}
      <path d="M{edge[m.key]} {at[m.key]}L204 {y - 6}H216" class="lead" class:trial={m.trial} />
      <text x="220" y={y - 9} class="name">{m.label}</text>
      <text x="220" y={y + 9} class="figure {m.state ?? ''}" class:trial={m.trial}
        >{m.value}{#if m.state}&nbsp;{mark[m.state]}{/if}</text
      >
    {/each}
  </svg>
  <p class="scale">Float and packing are drawn {EXAGGERATED} times larger than depths.</p>
</figure>

<style>
  figure {
    margin: 0;
  }
  svg {
    max-width: 460px;
  }
  .bare {
    max-width: 190px;
  }
  .cut {
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .under {
    fill: var(--ink);
  }
  .washer {
    fill: var(--target);
  }
  .clamp {
    fill: var(--out);
  }
  .lead {
    fill: none;
    stroke: var(--ink-2);
    stroke-width: 1;
  }
  .lead.trial {
    stroke: var(--predicted);
    stroke-dasharray: 4 3;
  }
  .name {
    font-size: var(--t1);
    fill: var(--ink-2);
  }
  .mid {
    text-anchor: middle;
  }
  .figure {
    font-size: var(--t4);
    font-weight: 640;
    fill: var(--ink);
  }
  .figure.out {
    fill: var(--out);
  }
  .figure.in {
    fill: var(--in);
  }
  .figure.unsure {
    fill: var(--unsure);
  }
  .figure.trial {
    text-decoration: underline dashed;
    text-underline-offset: 4px;
  }
  .scale {
    font-size: var(--t1);
    color: var(--ink-2);
  }
</style>
