<script lang="ts">
  import { tdcDoubt } from '$core/domains/crank/tdc-doubt.ts';
  import type { TdcWork } from '$core/domains/crank/tdc-work.ts';
  import { plusMinus, type LengthText } from '$core/job/texts.ts';
  import type { JobSession } from '../../job/session.svelte.ts';
  import DoubtTable from '../DoubtTable.svelte';

  /** What the ± of true TDC is made of: fetched when it is asked for. */
  let { tdc, session, len }: { tdc: TdcWork; session: JobSession; len: LengthText } = $props();
  const doubt = $derived(tdcDoubt(tdc, session.engine, session.reach, len));
</script>

{#if doubt}<DoubtTable {...doubt} pm={(u) => `${plusMinus(u)}°`} />{/if}
