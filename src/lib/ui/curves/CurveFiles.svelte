<script lang="ts">
  import type { CurveTable } from '$core/calculations/curve/curve-table.ts';
  import { save } from '../primitives/save.ts';
  import Field from '../primitives/Field.svelte';
  import type { Refused } from '../unsent/waiting.ts';
  import type { CurvePicture } from '../../reader/curve-picture.ts';

  interface Props {
    picture: CurvePicture;
    title: string;
    /** takes the points of a file, or answers why not; absent: nothing can be brought in here */
    onimport?:
      | ((table: CurveTable, scale: 'engine' | 'distributor', gaugeId: string | null) => Promise<Refused | null>)
      | undefined;
    /** what the timing can have been read with: it makes the uncertainty of the points */
    gauges?: { id: string; name: string }[];
  }
  /** all are written together: more would hold the log of the job up */
  const MOST_POINTS = 1000;
  let { picture, title, onimport, gauges = [] }: Props = $props();
  let table = $state.raw<CurveTable | null>(null);
  let fileName = $state('');
  let chosen = $state<'engine' | 'distributor' | null>(null);
  let gauge = $state<string>();
  let input = $state<HTMLInputElement>();
  let logging = $state(false);
  const name = $derived(title.toLowerCase().replace(/[^a-z0-9]+/g, '-'));
  const scale = $derived(table?.scale ?? chosen);
  const file = () => import('./curve-file.ts');

  async function read(e: Event) {
    const f = (e.currentTarget as HTMLInputElement).files?.[0];
    if (!f) return;
    fileName = f.name;
    chosen = null;
    table = (await file()).readCurveFile(await f.text());
    if (table.points.length > MOST_POINTS)
      table.problems.unshift({
        line: 0,
        message: `It has ${table.points.length} points; at most ${MOST_POINTS} are taken at once. Leave out every second, or bring in a part.`
      });
  }
  function drop() {
    table = null;
    if (input) input.value = '';
  }
  async function take() {
    if (!table || !scale || logging) return;
    logging = true;
    try {
      // what is refused stays here: it can be logged again once it is put right
      if (!(await onimport?.(table, scale, gauge ?? gauges[0]?.id ?? null))) drop();
    } finally {
      logging = false;
    }
  }
  async function saveAs(what: 'measured' | 'predicted' | 'svg') {
    const f = await file();
    if (what === 'measured') save(`${name}-measured.csv`, 'text/csv', f.measuredCsv(picture));
    else if (what === 'predicted')
      save(`${name}-predicted.csv`, 'text/csv', f.predictedCsv(picture.predicted[0]?.points ?? []));
    else save(`${name}.svg`, 'image/svg+xml', f.curveSvg(picture, title));
  }
</script>

<div class="files no-print">
  {#if onimport}
    <label class="button"
      >Bring in a CSV<input bind:this={input} type="file" accept=".csv,.txt,text/csv" onchange={read} /></label
    >
  {/if}
  <button class="button" disabled={picture.up.length === 0} onclick={() => saveAs('measured')}>Measured as CSV</button>
  <button class="button" disabled={picture.predicted.length === 0} onclick={() => saveAs('predicted')}
    >Predicted as CSV</button
  >
  <button class="button" onclick={() => saveAs('svg')}>Chart as SVG</button>
</div>
{#if onimport}
  <p class="small quiet no-print">
    Columns: rpm, deg, dir (up or down), scale (engine or distributor); the first two are enough. Comma, semicolon or
    tab; point or comma for decimals.
  </p>
{/if}
{#if table}
  <div class="incoming" role="status" data-testid="incoming">
    {#if table.problems.length}
      <p><b>Nothing was taken from {fileName}.</b></p>
      <ul>
        {#each table.problems.slice(0, 6) as p (p.line)}<li>{p.message}</li>{/each}
        {#if table.problems.length > 6}<li>and {table.problems.length - 6} more lines.</li>{/if}
      </ul>
      <p>Put the file right and bring it in again.</p>
      <button class="button" onclick={drop}>Understood</button>
    {:else}
      <p>
        <b>{fileName}: {table.points.length} points</b>, {table.points[0]!.rpm} to {table.points[
          table.points.length - 1
        ]!.rpm} rpm.
      </p>
      {#if table.scale === null}
        <fieldset>
          <legend>The file does not say whose degrees and speeds these are.</legend>
          <label
            ><input type="radio" name="scale" checked={chosen === 'engine'} onchange={() => (chosen = 'engine')} /> the engine’s,
            crank degrees</label
          >
          <label
            ><input
              type="radio"
              name="scale"
              checked={chosen === 'distributor'}
              onchange={() => (chosen = 'distributor')}
            /> the distributor’s</label
          >
        </fieldset>
      {/if}
      {#if gauges.length}
        <Field beside label="Read with" options={gauges.map((g) => [g.id, g.name] as const)} bind:value={gauge} />
      {/if}
      <button class="button first" disabled={scale === null || logging} onclick={take}
        >{logging ? 'Logging them …' : 'Log these points'}</button
      >
      {#if !logging}<button class="link" onclick={drop}>Drop the file</button>{/if}
    {/if}
  </div>
{/if}

<style>
  .files {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 10px 0 4px;
  }
  .files input {
    position: absolute;
    width: 1px;
    height: 1px;
    opacity: 0;
  }
  .files label:focus-within {
    outline: 3px solid var(--predicted);
    outline-offset: 2px;
  }
  .incoming {
    margin: 8px 0;
    padding: 10px 0 10px 12px;
    border-left: 4px solid var(--ink);
  }
  fieldset label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 36px;
  }
  fieldset input {
    width: 18px;
    height: 18px;
    accent-color: var(--ink);
  }
</style>
