<script lang="ts">
  import { bandOf } from '$core/engine/engine.ts';
  import { formatSpeed } from '$core/units/format.ts';
  import type { PanelProps } from '../props.ts';

  /** The curve that was measured last, in its limits: small, beside the work. */
  let { session }: PanelProps = $props();
  const sweep = $derived(session.state.work.sweeps.findLast((s) => s.points.some((p) => p.deg !== null)) ?? null);
  const points = $derived((sweep?.points ?? []).flatMap((p) => (p.deg === null ? [] : [{ ...p, deg: p.deg }])));
  const band = $derived(bandOf(session.engine) ?? []);
  const [W, H, X0, FOOT, TOP] = [300, 190, 34, 160, 14];
  const maxRpm = $derived(
    Math.ceil(Math.max(3000, ...points.map((p) => p.rpm), ...band.map((b) => b.rpm)) / 1000) * 1000
  );
  const maxDeg = $derived(Math.ceil(Math.max(20, ...points.map((p) => p.deg), ...band.map((b) => b.maxDeg)) / 10) * 10);
  const x = (rpm: number) => X0 + (rpm / maxRpm) * (W - X0 - 6);
  const y = (deg: number) => FOOT - (Math.max(0, deg) / maxDeg) * (FOOT - TOP);
  const line = (of: { rpm: number; deg: number }[]) => 'M' + of.map((p) => `${x(p.rpm)} ${y(p.deg)}`).join('L');
  const limits = $derived(
    band.length > 1
      ? `${line(band.map((b) => ({ rpm: b.rpm, deg: b.maxDeg })))}L${line([...band].reverse().map((b) => ({ rpm: b.rpm, deg: b.minDeg }))).slice(1)}Z`
      : null
  );
  const title = $derived(sweep ? session.sheet.steps.find((s) => s.id === sweep.step)!.title : null);
</script>

<figure>
  <svg
    viewBox="0 0 {W} {H}"
    class="drawing"
    role="img"
    aria-label={title ? `${title}: ${points.length} points` : 'No curve is swept yet'}
  >
    {#if limits}<path d={limits} class="limits" />{/if}
    <path d="M{X0} {TOP}V{FOOT}H{W - 6}" class="frame" />
    {#each [0, maxDeg / 2, maxDeg] as d (d)}<text x={X0 - 5} y={y(d) + 4} class="axis end">{d}°</text>{/each}
    {#each [maxRpm / 2, maxRpm] as r (r)}<text x={x(r)} y={FOOT + 16} class="axis" class:end={r === maxRpm}
        >{formatSpeed(r)}</text
      >{/each}
    {#if points.length > 1}<path d={line(points.filter((p) => p.dir === 'up'))} class="measured" />{/if}
    {#each points as p (p.n)}<circle
        cx={x(p.rpm)}
        cy={y(p.deg)}
        r="2.6"
        class="point"
        class:down={p.dir === 'down'}
      />{/each}
  </svg>
  <figcaption>{title ?? 'Nothing swept yet: the limits alone'}, degrees before TDC over rpm</figcaption>
</figure>

<style>
  figure {
    margin: 4px 0 8px;
  }
  figcaption {
    font-size: var(--t1);
    color: var(--ink-2);
  }
  .frame {
    fill: none;
    stroke: var(--ink-2);
  }
  .limits {
    fill: var(--in);
    fill-opacity: 0.12;
    stroke: var(--in);
    stroke-dasharray: 2 3;
  }
  .measured {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .point {
    fill: var(--ink);
    stroke: var(--ink);
  }
  .down {
    fill: var(--sheet);
  }
  .axis {
    font-size: var(--t1);
    fill: var(--ink-2);
    text-anchor: middle;
  }
  .end {
    text-anchor: end;
  }
</style>
