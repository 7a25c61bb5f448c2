<script lang="ts">
  import { jobsThatFollow, type Follows } from '$core/domains/received/decisions.ts';
  import type { SurfaceProps } from '../props.ts';

  let { session }: SurfaceProps = $props();
  const decisions = $derived(session.state.work.decisions);
  const follow = $derived(jobsThatFollow(decisions));
  const WORD = { use: 'stays', remark: 'stays, with a remark', replace: 'is replaced' } as const;
  const SPEAKS = { use: 'keeping it', remark: 'keeping it, with a remark', replace: 'replacing it' } as const;
  const words = ['use', 'remark', 'replace'] as const;
  const JOB: Record<Follows, string> = {
    regear: 'Replace the drive gear',
    recurve: 'Recurve the advance',
    'bench-check': 'Check the distributor on the bench',
    teardown: 'Check the distributor before it is taken apart'
  };
</script>

<table data-testid="decisions">
  <caption class="only-read">Parts, what was found, what is decided</caption>
  <thead><tr><th>part</th><th>found</th><th>speaks for</th><th>decided</th></tr></thead>
  <tbody>
    {#each decisions as d (d.part)}
      <tr
        ><td>{d.name}</td><td class:quiet={d.found === null}>{d.found ?? 'not looked at'}</td><td
          >{#if d.proposed}<b>{SPEAKS[d.proposed]}</b>{d.because ? ':' : ''}{/if}
          <span class="quiet small">{d.because ?? ''}</span></td
        ><td
          ><select
            class="field"
            aria-label="{d.name}: decided"
            value={d.decided ?? ''}
            onchange={(e) => session.say({ kind: 'choose', school: `decide-${d.part}`, option: e.currentTarget.value })}
            disabled={session.state.closed}
          >
            <option value="" disabled>not yet</option>
            {#each words as w (w)}<option value={w}>{WORD[w]}</option>{/each}
          </select></td
        ></tr
      >
    {/each}
  </tbody>
</table>
{#if follow.length}
  <h2>What follows</h2>
  <ul>
    {#each follow as f (f.sheet)}
      <li>
        <a href="/jobs/new?engine={session.engine.id}&sheet={f.sheet}&after={session.jobId}">{JOB[f.sheet]}</a>
        <span class="quiet">for {f.parts.join(', ').toLowerCase()}; what was measured and seen here goes with it</span>
      </li>
    {/each}
  </ul>
{/if}

<style>
  td {
    vertical-align: top;
  }
  /* on a phone a part is a block: its name, what was found, what that speaks for, and what is decided */
  @media (max-width: 620px) {
    thead {
      display: none;
    }
    tr {
      display: grid;
      gap: 2px;
      padding: 8px 0;
      border-bottom: 1px solid var(--hair);
    }
    td {
      border: 0;
      padding: 0;
    }
    td:first-child {
      font-weight: 640;
    }
  }
  h2 {
    margin: 12px 0 4px;
  }
  li {
    padding: 4px 0;
  }
</style>
