<script lang="ts">
  import { wheelMeasure } from '$core/calculations/wheel/wheel-measure.ts';
  import { readingParse } from '$core/calculations/reading/reading-parse.ts';
  import Field from '$lib/ui/primitives/Field.svelte';
  import Frame from '$lib/ui/primitives/Frame.svelte';
  import PrintedScale from '$lib/ui/primitives/PrintedScale.svelte';
  import { lengthText } from '$lib/reader/units.ts';

  let { data } = $props();
  const q = $derived(data.query);
  const len = $derived(lengthText(data.prefs));
  const search = $derived(new URLSearchParams(Object.entries(q).map(([k, v]) => [k, String(v)])).toString());
  const kinds = [
    ['tape', 'timing tape'],
    ['wheel', 'degree wheel']
  ] as const;
  const ways = [
    ['cw', 'clockwise'],
    ['ccw', 'anticlockwise']
  ] as const;
  let measured = $state('');
  let across = $state(false);
  const angle = $derived.by((): { ok: boolean; text: string } => {
    if (measured.trim() === '' || !data.drawing) return { ok: true, text: '' };
    const read = readingParse({ text: measured, quantity: 'length', defaultUnit: data.prefs.length });
    if (!read.ok) return { ok: false, text: read.error.message };
    const d = Number(q.diameter);
    if (across && Math.abs(read.out.value) > d)
      return { ok: false, text: `A chord cannot be longer than the diameter of ${len(d, 1)}.` };
    const { deg } = wheelMeasure(
      across ? { diameterMm: d, chordMm: read.out.value } : { diameterMm: d, arcMm: read.out.value }
    );
    const step = (360 * read.out.resolution) / (Math.PI * d);
    return { ok: true, text: `${deg.toFixed(2)}°, read to ${step.toFixed(2)}°` };
  });
</script>

<svelte:head><title>Scales · Nemrik</title></svelte:head>
<Frame>
  <div class="scales">
    <main id="main">
      <h1>
        {data.problem ??
          (q.kind === 'wheel' ? `A degree wheel of ${q.diameter} mm` : `A timing tape for a rim of ${q.diameter} mm`)}
      </h1>
      {#if data.drawing}
        <p class="quiet">
          {len(data.drawing.mmPerDeg, 4)} a degree. Print at 100 %, then measure the check length before the paper is trusted.
        </p>
        <PrintedScale
          drawing={data.drawing}
          label={q.kind === 'wheel'
            ? `Degree wheel of ${q.diameter} mm`
            : `Timing tape, ${q.from} to ${q.to} degrees before TDC`}
        />
        <p class="ways">
          <a class="button first" href="/scales.pdf?{search}">PDF, 1:1</a>
          <a class="button" href="/scales.svg?{search}">SVG, 1:1</a>
        </p>
        {#if data.drawing.width > 297 || data.drawing.height > 297}<p class="small">
            Larger than A4: its page is {data.drawing.width.toFixed(0)} × {data.drawing.height.toFixed(0)} mm, for a plotter
            or a print shop.
          </p>{/if}
      {/if}
    </main>
    <aside aria-label="What to print">
      <form method="get">
        <h2>What to print</h2>
        <Field label="Kind" name="kind" options={kinds} value={q.kind} />
        <Field label="Diameter of rim or wheel, mm" name="diameter" inputmode="decimal" required value={q.diameter} />
        <Field label="Tape from, degrees before TDC (after is negative)" name="from" value={q.from} />
        <Field label="Tape to, degrees before TDC" name="to" value={q.to} />
        <Field label="A tick every, degrees" name="step" value={q.step} />
        <Field label="Crank runs, seen where the wheel is read" name="runs" options={ways} value={q.runs} />
        <button class="button first">Draw it</button>
      </form>
      <h2>Degrees from a length on this rim</h2>
      <Field label="Measured" bind:value={measured} placeholder="12.5" />
      <fieldset>
        <legend class="only-read">How it was measured</legend>
        <label class="radio"
          ><input type="radio" name="how" checked={!across} onchange={() => (across = false)} /> along the rim</label
        >
        <label class="radio"
          ><input type="radio" name="how" checked={across} onchange={() => (across = true)} /> straight across</label
        >
      </fieldset>
      <p class="answer" class:bad={!angle.ok} aria-live="polite" data-testid="angle">{angle.text}</p>
    </aside>
  </div>
</Frame>

<style>
  .scales {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 330px;
    min-height: 0;
  }
  main {
    background: var(--sheet);
    padding: 16px 24px;
    border-right: 1.5px solid var(--ink);
    overflow: auto;
  }
  main .quiet {
    margin: 2px 0 12px;
  }
  .ways {
    display: flex;
    gap: 10px;
    margin: 12px 0;
  }
  aside {
    padding: 16px 18px;
    overflow: auto;
    display: grid;
    gap: 4px;
    align-content: start;
  }
  form {
    display: grid;
    gap: 8px;
    margin-bottom: 18px;
  }
  .radio {
    display: inline-flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
    margin-right: 16px;
  }
  .radio input {
    width: 18px;
    height: 18px;
    accent-color: var(--ink);
  }
  form .button {
    margin-top: 12px;
    justify-self: start;
  }
  .answer {
    font-stretch: 76%;
    font-size: var(--t7);
    font-weight: 640;
    min-height: 42px;
  }
  .answer.bad {
    font-size: var(--t3);
    font-stretch: 100%;
    color: var(--out);
  }
  @media (max-width: 900px) {
    .scales {
      grid-template-columns: minmax(0, 1fr);
      align-content: start;
    }
    main {
      border-right: 0;
    }
  }
</style>
