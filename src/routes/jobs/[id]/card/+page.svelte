<script lang="ts">
  import { readAt, readBy } from '$core/job/readings.ts';
  import { DEFERENCE } from '$core/job/texts.ts';
  import { asSvg, curveDrawing } from '$lib/reader/curve-drawing.ts';
  import { givenText } from '$lib/reader/given.ts';
  import { dateText, timeText } from '$lib/reader/dates.ts';
  import { understood } from '$lib/reader/units.ts';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  let { data } = $props();
  const { card } = $derived(data);
</script>

<svelte:head><title>Job card, {data.engine.name} · Nemrik</title></svelte:head>
<Frame>
  {#snippet subject()}<b>{data.engine.name}</b> · job card{/snippet}
  <div class="desk">
    <nav class="no-print acts" aria-label="What to do with the card">
      <button class="button first" onclick={() => window.print()}>Print</button>
      <a class="button" href="/jobs/{data.job.id}/card.pdf">PDF</a>
      <a class="button" href="/jobs/{data.job.id}">Back to the job</a>
    </nav>
    <main id="main" class="card">
      <header>
        <h1>{data.engine.name}: {data.sheet.title.toLowerCase()}</h1>
        <p class="quiet">
          {data.engine.summary} · opened {dateText(data.job.openedAt, data.prefs)} by {data.job.openedBy} · {card.done} of
          {card.total}
          steps{data.closed ? ', log closed' : ', job still open'}
        </p>
      </header>
      <div class="two">
        <section>
          <h2>Worked to</h2>
          <table>
            <tbody
              >{#each card.limits as l (l.field.name)}<tr
                  ><td>{l.field.label}</td><td class="n strong">{givenText(l.field, l.value)}</td><td class="quiet"
                    >{l.value.source}</td
                  ></tr
                >{/each}</tbody
            >
          </table>
        </section>
        <section>
          <h2>Results</h2>
          <table>
            <tbody>
              {#each card.results as r, k (k)}<tr
                  ><td
                    >{r.label}{#if r.limits}<br /><span class="quiet">limits: {r.limits}</span>{/if}</td
                  ><td class="n strong">{r.value}</td><td>{r.verdict}</td></tr
                >
              {:else}<tr><td class="quiet">Nothing settled yet.</td></tr>{/each}
            </tbody>
          </table>
          <p class="quiet small">± is two standard uncertainties.</p>
          {#if card.parts.length || card.schools.length}
            <h2>Ways and parts</h2>
            <table>
              <tbody>
                {#if card.parts.length}<tr><td>Parts taken</td><td class="strong">{card.parts.join(', ')}</td></tr>{/if}
                {#each card.schools as s, k (k)}<tr><td>{s.title}</td><td class="strong">{s.way}</td></tr>{/each}
              </tbody>
            </table>
          {/if}
          <h2>Stays open</h2>
          <table>
            <tbody>
              {#each card.open as o, k (k)}<tr><td>{o.what}</td><td>{o.why}</td></tr>
              {:else}<tr><td class="quiet">Nothing.</td></tr>{/each}
            </tbody>
          </table>
        </section>
      </div>
      {#if data.curve}
        <figure>
          <img
            src="data:image/svg+xml,{encodeURIComponent(asSvg(curveDrawing(data.curve.picture, data.curve.title)))}"
            alt="{data.curve.title}: the points stand among the readings"
          />
          <figcaption class="quiet small">{data.curve.key}</figcaption>
        </figure>
      {/if}
      {#if card.said.length}
        <section>
          <h2>Said by hand, as seen</h2>
          <table>
            <tbody>
              {#each card.said as x (x.state)}<tr><td>{x.state}</td><td class="strong">{x.seen}</td><td>{x.by}</td></tr
                >{/each}
            </tbody>
          </table>
        </section>
      {/if}
      <section>
        <h2>Readings</h2>
        <table>
          <thead
            ><tr
              ><th>figure</th><th class="n">read</th><th>gauge</th><th>by</th><th>when ({data.prefs.zone})</th><th
                >replaces</th
              ></tr
            ></thead
          >
          <tbody>
            {#each card.readings as r (r.reading.id)}
              <tr
                ><td>{r.label}</td><td class="n strong">{understood(r.reading, r.reading.quantity, data.prefs)}</td><td
                  >{r.reading.gauge?.name ?? ''}</td
                ><td>{readBy(r.reading)}</td><td>{timeText(readAt(r.reading), data.prefs)}</td><td class="quiet"
                  >{r.replaced}</td
                ></tr
              >
            {:else}<tr><td class="quiet" colspan="6">No reading taken.</td></tr>{/each}
          </tbody>
        </table>
      </section>
      {#if card.photos.length}
        <section>
          <h2>Photographs</h2>
          <ul class="photos">
            {#each card.photos as p (p.id)}
              <li>
                <img src="/api/jobs/{data.job.id}/photos/{p.id}" alt={p.text || p.step} />
                <b>{p.text || p.step}</b>
                <span class="quiet">{p.text ? `${p.step}, ` : ''}{p.by}, {timeText(p.at, data.prefs)}</span>
              </li>
            {/each}
          </ul>
        </section>
      {/if}
      {#if card.steps.length}
        <section>
          <h2>Steps</h2>
          <table>
            <tbody>
              {#each card.steps as x (x.title + x.at)}<tr
                  ><td>{x.title}</td><td>{x.state}</td><td>{x.by}</td><td>{timeText(x.at, data.prefs)}</td></tr
                >{/each}
            </tbody>
          </table>
        </section>
      {/if}
      <p class="quiet small">{DEFERENCE}</p>
      <div class="sign"><span>Technician, date</span><span>Lead, date</span></div>
    </main>
  </div>
</Frame>

<style>
  .photos {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 12px;
  }
  .photos li {
    break-inside: avoid;
    font-size: var(--t1);
  }
  .photos img {
    display: block;
    width: 100%;
    max-height: 240px;
    object-fit: contain;
    object-position: left top;
  }
  figure {
    margin: 14px 0 0;
    break-inside: avoid;
  }
  figure img {
    display: block;
    width: min(100%, 560px);
    border: 1px solid var(--hair);
  }
  .desk {
    overflow: auto;
    padding: 14px;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    max-width: 840px;
    margin: 0 auto 12px;
  }
  .card {
    max-width: 840px;
    margin: 0 auto;
    background: var(--sheet);
    padding: 24px 30px;
    border: 1.5px solid var(--ink);
  }
  h2 {
    margin: 14px 0 2px;
    font-size: var(--t3);
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 24px;
  }
  td,
  th {
    font-size: var(--t1);
    padding: 2px 8px 2px 0;
  }
  .two td.quiet {
    white-space: nowrap;
  }
  .strong {
    font-weight: 600;
  }
  .sign {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 40px;
    margin-top: 54px;
  }
  .sign span {
    border-top: 1.5px solid var(--ink);
    padding-top: 3px;
    font-size: var(--t1);
  }
  @media (max-width: 620px) {
    .two {
      grid-template-columns: 1fr;
    }
    .card {
      padding: 14px;
      overflow-x: auto;
    }
  }
  @page {
    size: A4;
    margin: 12mm;
  }
  @media print {
    .desk {
      padding: 0;
      overflow: visible;
    }
    .card {
      border: 0;
      padding: 0;
      max-width: none;
    }
    td,
    th {
      font-size: var(--t1);
      padding: 1px 6px 1px 0;
    }
  }
</style>
