// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup } from '@testing-library/svelte';
import { engineWith, PlayedJob, SHEET } from '../support/played.ts';
import { SAW, TWO_STROKE } from '../support/magneto-jobs.ts';
import { DIESEL, FINE_WHEEL, TURNING } from '../support/pump-jobs.ts';
import { away, button, plain, press, surface, withGeometry } from './support.ts';

// a page without pixels has nothing to draw a chart on
vi.mock('$lib/ui/charts/chart-setup.ts', () => ({
  Chart: class {
    data = { datasets: [] };
    options = {};
    update() {}
    destroy() {}
  }
}));

/** What a technician sees at the steps of pumps, magnetos and two-strokes, and what a hand on the drawing does. */
let drag: ReturnType<typeof withGeometry>;
beforeEach(() => {
  away();
  drag = withGeometry();
});
afterEach(cleanup);

const slider = (page: Element, name: string) => {
  const found = page.querySelector(`[role=slider][aria-label="${name}"]`);
  if (!found) throw new Error(`nothing to drag called ${name}`);
  return found;
};
const says = (e: Element) => e.getAttribute('aria-valuetext')!;
const label = (page: Element, of: RegExp) =>
  [...page.querySelectorAll('[role=img],[role=group]')]
    .map((e) => e.getAttribute('aria-label') ?? '')
    .find((l) => of.test(l));

describe('a step without figures', () => {
  it('shows where on the engine a hand goes, and what must be so there', async () => {
    const on = await surface(new PlayedJob(engineWith(SHEET), 'fit-from-scratch'), 'safe');
    const said = label(on.page, /Engine from above/)!;
    expect(said).toContain('battery: battery lead off');
    expect(said).toContain('fuel: fuel shut');
    expect(said).toContain('wheels and drives: machine secured');
    expect(said).not.toContain('throttle:');
  });
  it('names what times this engine, and draws no engine on a bench', async () => {
    const on = await surface(new PlayedJob(engineWith(DIESEL), 'locked-offset'), 'fittings');
    expect(label(on.page, /Driven end of the pump/)).toContain('oil feed: first, tight');
    cleanup();
    const plugs = await surface(new PlayedJob(engineWith(DIESEL), 'locked-offset'), 'plugs');
    expect(plain(plugs.page)).toContain('injection pump');
    cleanup();
    const bench = await surface(new PlayedJob(engineWith(DIESEL), 'pump-bench'), 'mount');
    expect(label(bench.page, /Engine from above/)).toBeUndefined();
  });
});

describe('the pump by lift', () => {
  const job = (values: Record<string, string> = {}) =>
    new PlayedJob(engineWith({ ...DIESEL, ...values }), 'plunger-lift');
  it('sets plate and chart letter over letter, and marks the one that differs', async () => {
    const same = await surface(job(), 'chart');
    expect(same.page.querySelectorAll('.codes .off').length).toBe(0);
    expect(same.text()).toContain('2.510 mm');
    cleanup();
    const other = await surface(job({ pumpCode: 'FW-31 BX' }), 'chart');
    expect(other.page.querySelectorAll('.codes .off').length).toBe(2);
    expect(other.page.querySelector('[role=alert]')!.textContent).toContain('FW-31 BX');
  });
  it('turns its cam by hand: the dial rises and counts its turns, and nothing is logged', async () => {
    const on = await surface(job(), 'lift');
    const said = on.session.all.length;
    const cam = slider(on.page, 'Turn the cam on the drawing');
    expect(says(cam)).toBe('2.51 mm of lift, 2 whole turns of the dial');
    await drag(cam, [130, 268], [160, 268]);
    expect(Number.parseFloat(says(cam))).toBeGreaterThan(2.6);
    await press(cam, 'Home');
    expect(says(cam)).toBe('0.00 mm of lift, 0 whole turns of the dial');
    expect(on.text()).toContain('beyond the chart: drawn, not known');
    button(on.page, /^Back to what was/).click();
    await Promise.resolve();
    expect(on.session.all.length).toBe(said);
  });
  it('draws the fall onto the base circle, and where it came to rest', async () => {
    const j = job();
    for (const t of ['3.31', '1.58', '0.31', '0.02', '0.02', '0.02'])
      j.log.push(event(j, j.reading('lift', 'falling', t, TURNING)));
    const on = await surface(j, 'lift');
    expect(label(on.page, /readings of the dial/)).toBe('6 readings of the dial, at rest since reading 4');
    expect(on.page.querySelectorAll('.at.rests').length).toBe(3);
  });
  it('says that a turn tried in the slot is beyond it', async () => {
    const j = job();
    for (const [slot, text, gauge] of [
      ['lift', '2.87', TURNING],
      ['stands', '358', FINE_WHEEL]
    ] as const) {
      if (slot === 'stands')
        for (const [s, t] of [
          ['depth', '1.8'],
          ['before', '343.5'],
          ['after', '12.5']
        ] as const)
          j.log.push(event(j, j.reading('tdc', s, t)));
      j.log.push(event(j, j.reading('lift', slot, text, gauge)));
    }
    const on = await surface(j, 'decide');
    const gear = slider(on.page, 'Turn the shaft in its gear on the drawing');
    expect(says(gear)).toContain('1.70° of the crank later');
    await press(gear, 'End');
    expect(says(gear)).toContain('earlier');
    for (let k = 0; k < 10; k++) await press(gear, 'ArrowUp', { shiftKey: true });
    expect(says(gear)).toContain('beyond the slot');
  });
});

/** A figure as the log holds it, whatever stands in its way: these tests are about what is drawn. */
function event(job: PlayedJob, body: object) {
  const n = job.log.length + 1;
  return {
    ...body,
    id: `e${n}`,
    seq: n,
    at: new Date(1_700_000_000_000 + n * 1000).toISOString(),
    by: { id: 'x', name: 'x' }
  } as never;
}

describe('the ledger', () => {
  it('is pulled on the arc, and goes onto the line to be logged or dropped', async () => {
    const values = { ...DIESEL, pumpBtdc: '15.2', lockBtdc: '9.4', gearOffsetBtdc: '4.5' };
    const on = await surface(new PlayedJob(engineWith(values), 'locked-offset'), 'ledger');
    expect(on.text()).toContain('1.30° short of the 15.2° wanted');
    const end = slider(on.page, 'Move the gear’s offset on the drawing');
    await press(end, 'ArrowUp');
    expect(says(end)).toBe('4.6° of offset, together 14.00° before TDC');
    expect(on.line.text).toBe('4.6 before');
    expect(on.line.prefer).toBe('offset-decided');
    expect(on.session.all.length).toBe(0);
  });
});

describe('elements and fuel', () => {
  it('gives each element its shims, thicker where it is late', async () => {
    const j = new PlayedJob(
      engineWith({ ...DIESEL, cylinders: '3', firingOrder: '1-3-2', elementWithinDeg: '0.3' }),
      'pump-bench'
    );
    for (const t of ['0', '120.7', '239.4']) j.log.push(event(j, j.reading('spacing', 'element', t, FINE_WHEEL)));
    const on = await surface(j, 'spacing');
    const rows = on.rows('[data-testid=elements] tbody tr');
    expect(rows[1]).toMatch(/^3 ?120\.0° ?120\.7° ?0\.70° late ?0\.15 mm thicker/);
    expect(rows[2]).toMatch(/^2 ?240\.0° ?239\.4° ?0\.60° early ?0\.15 mm thinner/);
  });
  it('fills the way of the fuel as it is bled', async () => {
    const j = new PlayedJob(engineWith(DIESEL), 'bleeding');
    for (const t of ['1', '2']) j.log.push(event(j, j.reading('low', 'screw-clear', t)));
    j.log.push(event(j, j.reading('high', 'line-solid', '3')));
    const on = await surface(j, 'high');
    expect(label(on.page, /way: /)).toBe('The fuel’s way: 2 of 3 bleed screws clear, lines solid at 3 of 4');
    expect(on.page.querySelectorAll('.pipe.full').length).toBe(3);
  });
});

describe('magneto and flywheel', () => {
  it('turns the coupling tooth by tooth on the drawing', async () => {
    const j = new PlayedJob(engineWith(SAW), 'magneto');
    j.log.push(event(j, j.reading('coupling', 'drive-stands', '99')));
    const on = await surface(j, 'coupling');
    const c = slider(on.page, 'Turn the coupling on the drawing, tooth by tooth');
    expect(says(c)).toBe('9.0° clockwise of its direction');
    await press(c, 'ArrowLeft');
    expect(says(c)).toBe('4.3° anticlockwise of its direction');
    expect(on.text()).toContain('back to what was read');
  });
  it('winds the spring up as the crank comes round, and lets it go at the snap', async () => {
    const on = await surface(new PlayedJob(engineWith(SAW), 'magneto'), 'snap');
    const crank = slider(on.page, 'Turn the crank on the drawing');
    expect(says(crank)).toBe('crank 6.0° after, spring 100 % wound');
    for (let k = 0; k < 3; k++) await press(crank, 'ArrowLeft', { shiftKey: true });
    expect(says(crank)).toBe('crank 24.0° before, spring 0 % wound');
    for (let k = 0; k < 4; k++) await press(crank, 'ArrowRight', { shiftKey: true });
    expect(says(crank)).toContain('spring let go');
    expect(on.text()).toContain('Never start it by hand before the snap was heard');
  });
  it('draws every mark, and says how large the errors are drawn', async () => {
    const j = new PlayedJob(engineWith(TWO_STROKE), 'two-stroke');
    for (const [c, w] of [
      ['1', '338'],
      ['3', '98.2'],
      ['2', '216.1']
    ]) {
      j.log.push(event(j, j.reading('marks', 'mark-of', c!)));
      j.log.push(event(j, j.reading('marks', 'mark-at', w!, FINE_WHEEL)));
    }
    const on = await surface(j, 'marks');
    expect(label(on.page, /marks of every cylinder/)).toContain('errors 10 times larger');
    expect(on.page.querySelectorAll('.found').length).toBe(3);
    expect(on.rows('[data-testid=marks] tbody tr')[2]).toContain('1.9° early');
  });
  it('shows heights near the one that is wanted, and where the screw has to go', async () => {
    const j = new PlayedJob(engineWith(TWO_STROKE), 'two-stroke');
    const heights = await surface(j, 'height');
    expect(heights.rows().length).toBe(7);
    expect(heights.rows('.want')[0]).toMatch(/^22° ?3\.257 mm$/);
    cleanup();
    for (const [t, d] of [
      ['0', '18b'],
      ['2', '20.5b']
    ]) {
      j.log.push(event(j, j.reading('stop', 'stop-turns', t!)));
      j.log.push(event(j, j.reading('stop', 'stop-spark', d!)));
    }
    const stop = await surface(j, 'stop');
    expect(label(stop.page, /Stop screw/)).toBe('Stop screw, 1.2 turns on to go');
  });
});
