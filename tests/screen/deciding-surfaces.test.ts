// @vitest-environment jsdom
import { cleanup, fireEvent, render } from '@testing-library/svelte';
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import LedgerArcs from '$lib/ui/instruments/pump/LedgerArcs.svelte';
import PumpSection from '$lib/ui/instruments/pump/PumpSection.svelte';
import StepChoices from '$lib/ui/job-view/StepChoices.svelte';
import { CURVE } from '../support/curve-jobs.ts';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { away, button, plain, screen, surface, withGeometry } from './support.ts';

/** Where a technician decides by what was found: words that are chosen, parts, and drawings that know nothing yet. */
beforeEach(() => {
  away();
  withGeometry();
});
afterEach(cleanup);

const CHECK = { ...SHEET, floatMinMm: '0.1', floatMaxMm: '0.3', contactGapMinMm: '0.35', contactGapMaxMm: '0.45' };

describe('the parts of a distributor', () => {
  const looked = () => {
    const job = new PlayedJob(engineWith(CHECK), 'in-place-check');
    job.read('swing', 'float-in-place', '0.44');
    job.say({ kind: 'choose', school: 'cap-is', option: 'sound' });
    job.say({ kind: 'choose', school: 'capsule-holds', option: 'leaks' });
    return job;
  };
  it('each say what was found, what that speaks for and why; a part nobody looked at says so', async () => {
    const on = await surface(looked(), 'decide');
    const row = (part: string) => on.rows().find((r) => r.startsWith(part))!;
    expect(row('Shaft and bush')).toMatch(
      /It floats 0\.440 ± 0\.\d+ mm ?replacing it: outside its limits, 0\.10 to 0\.30 mm/
    );
    expect(row('Vacuum capsule')).toContain('replacing it: a leaking capsule is a weak mixture as well');
    expect(row('Cap')).toContain('keeping it: no crack, no track');
    expect(row('Drive gear')).toContain('not looked at');
    expect(row('Drive gear')).not.toContain('keeping it');
  });
  it('are decided by whoever sits here, against what was proposed as well', async () => {
    const on = await surface(looked(), 'decide');
    const decided = on.page.querySelector<HTMLSelectElement>('[aria-label="Vacuum capsule: decided"]')!;
    expect(decided.value).toBe('');
    await fireEvent.change(decided, { target: { value: 'remark' } });
    await tick();
    const d = on.session.state.work.decisions.find((x) => x.part === 'capsule')!;
    expect(d).toMatchObject({ proposed: 'replace', decided: 'remark' });
    expect(decided.value).toBe('remark');
  });
  it('lead to the jobs that follow, by the names that those jobs have, and not to the job they are on', async () => {
    const on = await surface(looked(), 'decide');
    const links = [...on.page.querySelectorAll('a')];
    expect(links.map(plain)).toEqual(['Check the distributor before it is taken apart']);
    expect(links[0]!.getAttribute('href')).toBe('/jobs/new?engine=engine&sheet=teardown&after=1');
  });
  it('lead nowhere while nothing was found', async () => {
    const on = await surface(new PlayedJob(engineWith(CHECK), 'in-place-check'), 'decide');
    expect(on.text()).not.toContain('What follows');
    expect(on.page.querySelectorAll('a').length).toBe(0);
  });
});

describe('the gap at every lobe', () => {
  it('is judged by its worst, and says of how many', async () => {
    const job = new PlayedJob(engineWith(CHECK), 'in-place-check');
    for (const mm of ['0.40', '0.36', '0.33', '0.42']) job.read('plate', 'lobe-gap', mm);
    const on = await surface(job, 'plate');
    expect(on.text()).toContain('Gap at a lobe, one after another, worst of 4');
    expect(on.text()).toMatch(/0\.330 ± 0\.0\d+ mm/);
    expect(on.text()).toContain('Limits: 0.35 to 0.45 mm.');
  });
  it('without limits is not judged, and says what to do', async () => {
    const job = new PlayedJob(engineWith(SHEET), 'in-place-check');
    job.read('plate', 'lobe-gap', '0.40');
    expect((await surface(job, 'plate')).text()).toContain('Not judged: the data sheet has no limits for it.');
  });
});

describe('words that are chosen above a drawing', () => {
  const target = () => {
    const on = screen({ sheet: 'recurve', engine: engineWith(CURVE) });
    const { choices } = on.session.sheet.steps.find((s) => s.surface === 'targets')!;
    return { ...on, choices };
  };
  const choose = async (page: Element, name: string) => {
    await fireEvent.click(button(page, name));
    await tick();
  };
  it('stand open until all are answered, then in one line that opens again', async () => {
    const { session, choices } = target();
    const { container: page } = render(StepChoices, { session, choices });
    await choose(page, 'heavy loads');
    await choose(page, 'good');
    expect(page.querySelector('details')).toBeNull();
    await choose(page, 'one steady speed');
    expect(plain(page.querySelector('summary')!)).toBe(
      'What it pulls heavy loads · Fuel good · Runs mostly at one steady speed'
    );
    // opened again, another word counts from then on
    await choose(page.querySelector('details')!, 'changing speeds');
    expect(plain(page.querySelector('summary')!)).toContain('Runs mostly at changing speeds');
    expect(session.state.replayed.chosen.get(choices[2]!.id)).toBe(choices[2]!.options[1]!.id);
  });
});

describe('a drawing of a pump that nobody has measured', () => {
  const text = (mm: number) => `${mm.toFixed(2)} mm`;
  it('names what the ledger still lacks, and adds up only what is known', () => {
    const ledger = (lockBtdc: number | null, offsetBtdc: number | null) => {
      cleanup();
      return plain(
        render(LedgerArcs, { lockBtdc, offsetBtdc, targetBtdc: 17, withinDeg: 1 }).container.querySelector(
          'figcaption'
        )!
      );
    };
    expect(ledger(null, null)).toBe('Still to come: the pump’s setting and the offset of its gear.');
    expect(ledger(11.4, null)).toBe('Still to come: the offset of its gear.');
    expect(ledger(11.4, 5.6)).toBe('11.4° + 5.6° = 17.00° before TDC, as wanted.');
    expect(ledger(11.4, 4.5)).toContain('1.10° short of the 17° wanted');
  });
  it('writes no lift before there is one, read or by its chart', () => {
    const none = render(PumpSection, { points: [], liftMm: null, wantedMm: null, perRevMm: 1, text }).container;
    expect(plain(none)).not.toContain('0.00 mm');
    cleanup();
    const read = render(PumpSection, { points: [], liftMm: 2.62, wantedMm: null, perRevMm: 1, text }).container;
    expect(plain(read)).toContain('2.62 mm');
  });
});
