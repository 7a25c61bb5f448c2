<script lang="ts">
  import { cycleState } from '$core/calculations/cycle/cycle-state.ts';
  import type { CrankPlace } from '$core/domains/crank/place/place.ts';
  import { cycleDegOf, listOf, valvesOf, type Engine } from '$core/engine/engine.ts';

  let { engine, place }: { engine: Engine; place: CrankPlace } = $props();
  const valves = $derived(valvesOf(engine));
  const four = $derived(cycleDegOf(engine) === 720);
  const state = $derived.by(() => {
    const offsetsDeg = listOf(engine, 'firingOffsets');
    return cycleState({
      cycleDeg: cycleDegOf(engine),
      firingOrder: listOf(engine, 'firingOrder')!,
      crankDeg: place.crankDeg!,
      ...(offsetsDeg ? { offsetsDeg } : {}),
      ...(valves ? { valves } : {})
    });
  });
  /** degrees after a cylinder's firing TDC as a place by the nearer of its TDCs */
  const near = (deg: number): string => {
    const cycle = cycleDegOf(engine);
    const back = cycle - deg;
    const at = (d: number, way: string, which: string) => `${d.toFixed(1)}° ${way} ${which}TDC`;
    if (!four) return deg <= 180 ? at(deg, 'after', '') : at(back, 'before', '');
    if (deg <= 180) return at(deg, 'after', 'firing ');
    if (back <= 180) return at(back, 'before', 'firing ');
    return deg <= 360 ? at(360 - deg, 'before', 'overlap ') : at(deg - 360, 'after', 'overlap ');
  };
  const valve = (c: (typeof state.cylinders)[number]) =>
    c.overlap ? 'both open, rocking' : c.intake ? 'inlet open' : c.exhaust ? 'exhaust open' : 'both closed';
</script>

{#if place.strokeKnown}
  <table>
    <caption class="small quiet"
      >Every cylinder where the crank stands now{four && !valves ? '; valves of a generic camshaft' : ''}</caption
    >
    <thead
      ><tr
        ><th>cylinder</th><th>stroke</th>{#if four}<th>valves</th>{/if}<th class="n">stands</th></tr
      ></thead
    >
    <tbody>
      {#each state.cylinders as c (c.cylinder)}
        <tr
          ><td>{c.cylinder}</td><td
            >{c.stroke === 'down' ? 'going down' : c.stroke === 'up' ? 'coming up' : c.stroke}</td
          >{#if four}<td>{valve(c)}</td>{/if}<td class="n">{near(c.phaseDeg)}</td></tr
        >
      {/each}
    </tbody>
  </table>
  <p class="small quiet">
    Next to fire: cylinder {state.next.cylinder} in {state.next.inDeg.toFixed(
      1
    )}°.{#if state.companion !== null}&nbsp;Companion of number one: {state.companion}.{/if}
  </p>
{:else}
  <p class="small quiet">Strokes of the other cylinders follow once number one’s is proved.</p>
{/if}

<style>
  table {
    margin-top: 10px;
  }
  caption {
    text-align: left;
    padding-bottom: 4px;
  }
</style>
