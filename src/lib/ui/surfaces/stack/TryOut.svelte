<script lang="ts">
  import type { Trial } from '$core/domains/stack/what-if.ts';
  import { readingParse } from '$core/calculations/reading/reading-parse.ts';
  import type { Prefs } from '$lib/reader/prefs.ts';

  import Field from '../../primitives/Field.svelte';

  interface Props {
    trial: Trial;
    kind: 'pedestal' | 'own-gear' | 'open-case' | null;
    changed: boolean;
    prefs: Prefs;
    onclear: () => void;
  }
  let { trial = $bindable(), kind, changed, prefs, onclear }: Props = $props();

  let typed = $state<Record<string, string>>({});
  const rows = $derived(
    kind === 'own-gear'
      ? ([
          ['collarMm', 'collar turned down by'],
          ['shimMm', 'shim between housing and gear']
        ] as const)
      : ([
          ['packingMm', 'packing added'],
          ['shimMm', 'shim on the shaft, above the gear']
        ] as const)
  );
  let problem = $state('');

  function set(key: 'packingMm' | 'collarMm' | 'shimMm', text: string) {
    typed[key] = text;
    if (text.trim() === '') {
      trial = { ...trial, [key]: 0 };
      problem = '';
      return;
    }
    const read = readingParse({ text, quantity: 'length', defaultUnit: prefs.length });
    problem = read.ok ? '' : read.error.message;
    if (read.ok) trial = { ...trial, [key]: read.out.value };
  }
  function clear() {
    typed = {};
    problem = '';
    onclear();
  }
</script>

<div class="try" role="group" aria-label="Try a change before cutting or taking anything">
  <span class="head">Try a change</span>
  {#each rows as [key, label] (key)}
    <Field
      {label}
      beside
      inputmode="decimal"
      placeholder="0 {prefs.length}"
      bind:value={() => typed[key] ?? '', (v) => set(key, String(v))}
    />
  {/each}
  <label class="tick"
    ><input
      type="checkbox"
      checked={trial.gasket}
      onchange={(e) => (trial = { ...trial, gasket: e.currentTarget.checked })}
    /> gasket in</label
  >
  {#if changed}<button class="link" onclick={clear}>Back to what is measured</button>{/if}
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</div>

<style>
  .try {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 18px;
    margin: 10px 0;
    font-size: var(--t2);
    color: var(--ink-2);
  }
  .head {
    font-weight: 640;
    color: var(--ink);
  }
  label {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  .try :global(.field) {
    width: 92px;
  }
  .tick input {
    width: 18px;
    height: 18px;
    accent-color: var(--ink);
  }
  .tick {
    min-height: 44px;
  }
  .problem {
    flex-basis: 100%;
    color: var(--out);
    font-weight: 600;
  }
</style>
