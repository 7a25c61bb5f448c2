<script lang="ts">
  import type { SurfaceProps } from '../props.ts';
  import type { Reading } from '$core/job/replayed.ts';
  import { patchFinding } from '$core/domains/stack/patch-work.ts';
  import { meshPattern } from '$core/calculations/mesh/mesh-pattern.ts';
  import { fromBase } from '$core/units/units.ts';
  import Tooth from '../../instruments/tooth/Tooth.svelte';
  import { lengthText } from '../../../reader/units.ts';
  import ReadingText from '../../job/ReadingText.svelte';

  let { session, stepId, prefs, onamend }: SurfaceProps = $props();
  const len = $derived(lengthText(prefs));
  const face = $derived(session.state.work.stack.faceMm);
  const rows = $derived(session.state.work.patches);
  const mine = $derived(rows.filter((r) => r.low.step === stepId));
  const last = $derived(mine.findLast((r) => r.pattern) ?? null);
  const earlier = $derived(rows.findLast((r) => r.pattern && r !== last && r.n < (last?.n ?? Infinity)) ?? null);
  let dragged = $state.raw<{ low: number; high: number } | null>(null);
  const bandOf = (r: { low: Reading; high: Reading | null } | null) =>
    r?.high ? { low: Math.min(r.low.value, r.high.value), high: Math.max(r.low.value, r.high.value) } : null;
  const shown = $derived(
    dragged ??
      bandOf(last) ??
      (face === null ? null : { low: Math.round(face * 3) / 10, high: Math.round(face * 7) / 10 })
  );
  const trial = $derived(
    dragged && face !== null
      ? meshPattern({ contactLowMm: dragged.low, contactHighMm: dragged.high, faceWidthMm: face, tolerance: 0.1 })
      : null
  );
  const p = $derived(trial ?? last?.pattern ?? null);

  function keep() {
    if (!dragged) return;
    for (const [slot, mm] of [
      ['patch-low', dragged.low],
      ['patch-high', dragged.high]
    ] as const) {
      const refused = session.say({
        kind: 'reading',
        step: stepId,
        slot,
        quantity: 'length',
        text: String(Number(fromBase(mm, prefs.length).toFixed(4))),
        defaultUnit: prefs.length,
        gaugeId: null
      });
      if (refused) return;
    }
    dragged = null;
  }
</script>

<div class="beside" style="--first: 0.8fr">
  {#if face !== null}
    <div>
      <Tooth
        faceMm={face}
        patch={shown}
        before={bandOf(earlier)}
        valueText={(mm) => len(mm, 1)}
        onchange={(v) => (dragged = v)}
      />
      {#if dragged}
        <p class="keep">
          <button class="button first" onclick={keep}>Log {len(dragged.low, 1)} to {len(dragged.high, 1)}</button>
          <button class="link" onclick={() => (dragged = null)}>Drop it</button>
        </p>
      {:else if !last}
        <p class="note">
          Drag the two rings to where the compound was wiped, or type the lower height, then the upper.
        </p>
      {/if}
    </div>
  {/if}
  <div>
    <table>
      <caption class="only-read">Contacts read, oldest first</caption>
      <thead
        ><tr
          ><th>reading</th><th class="n">lower end</th><th class="n">upper end</th><th class="n">centre</th><th
            class="n">length</th
          ></tr
        ></thead
      >
      <tbody>
        {#each rows as r (r.n)}
          <tr>
            <td>{rows.length > 1 ? (r.n === 1 ? 'before' : r.n === rows.length ? 'after' : `${r.n}`) : '1'}</td>
            <td class="n"><ReadingText reading={r.low} {prefs} unsent={session.unsent.has(r.low.id)} {onamend} /></td>
            <td class="n"
              >{#if r.high}<ReadingText
                  reading={r.high}
                  {prefs}
                  unsent={session.unsent.has(r.high.id)}
                  {onamend}
                />{:else}next{/if}</td
            >
            <td class="n">{r.pattern ? `${(r.pattern.centreFraction * 100).toFixed(0)} %` : ''}</td>
            <td class="n">{r.pattern ? `${(r.pattern.lengthFraction * 100).toFixed(0)} %` : ''}</td>
          </tr>
        {:else}
          <tr><td colspan="5" class="quiet">No contact read yet.</td></tr>
        {/each}
      </tbody>
    </table>
    {#if p}
      <p class="big" class:bad={p.edgeContact}>
        {p.state === 'centred'
          ? 'Central'
          : `${p.deeperMm >= 0 ? 'Deeper' : 'Raise'} by ${len(Math.abs(p.deeperMm), 2)}`}
      </p>
      <p class="note">
        {patchFinding(p, len)} Its centre lies {len(Math.abs(p.deeperMm), 2)}
        {p.deeperMm >= 0 ? 'below' : 'above'} the middle. The tooth’s middle lies at {len((face ?? 0) / 2, 1)}; within a
        tenth of its width either way counts as central.
      </p>
    {/if}
    {#if earlier?.pattern && last?.pattern}
      <p class="note">
        Since the reading before, the contact moved {len(
          Math.abs(last.pattern.centreFraction - earlier.pattern.centreFraction) * (face ?? 0),
          2
        )}
        {last.pattern.centreFraction >= earlier.pattern.centreFraction ? 'up' : 'down'}.
      </p>
    {/if}
  </div>
</div>

<style>
  .keep {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: center;
  }
  .big {
    font-stretch: 76%;
    font-weight: 640;
    font-size: var(--t8);
    line-height: 1.1;
    margin-top: 12px;
  }
  .bad {
    color: var(--out);
  }
</style>
