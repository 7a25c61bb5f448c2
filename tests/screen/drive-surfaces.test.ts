// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cleanup, fireEvent, within } from '@testing-library/svelte';
import { engineWith, PlayedJob } from '../support/played.ts';
import { atTooth, DRIVE, measured, packed, pedestal, planned, tray } from '../support/drive-jobs.ts';
import { press as shortcut } from '$lib/ui/keys/keys.ts';
import { away, button, press, surface, withGeometry } from './support.ts';

/** What a technician sees at the drive's steps, and what a hand on the drawing does to the log. */
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
const packings = tray.filter((t) => t.kind === 'packing');

describe('the stack', () => {
  it('shows the washer as long as it is in, and float as soon as it is measured', async () => {
    const before = await surface(pedestal(), 'gap');
    expect(before.text()).toContain('The figures of the drive appear here as they are measured.');
    expect(before.text()).toContain('gauge washer');
    cleanup();
    const after = await surface(measured(), 'gap');
    expect(after.rows('.lines tbody tr')[0]).toMatch(/^End float/i);
    expect(after.text()).toContain('between the widest and the narrowest gap');
  });
  it('lets a change be tried: figures move, verdicts follow, and nothing is logged', async () => {
    const on = await surface(atTooth(), 'depth');
    const said = on.session.all.length;
    expect(on.text()).not.toContain('with the trial');
    await fireEvent.input(within(on.page as HTMLElement).getByLabelText('packing added'), {
      target: { value: '0.203' }
    });
    const float = on.rows('.lines tbody tr').find((r) => /^End float/i.test(r))!;
    expect(float).toContain('0.368 mm');
    expect(float).toContain('newly out');
    await fireEvent.click(button(on.page, 'Back to what is measured'));
    expect(on.text()).not.toContain('newly out');
    expect(on.session.all.length).toBe(said);
  });
  it('says what is wrong with a trial that cannot be read, and keeps the last good one', async () => {
    const on = await surface(atTooth(), 'depth');
    const field = on.page.querySelector('.try input')!;
    await fireEvent.input(field, { target: { value: '0.1' } });
    await fireEvent.input(field, { target: { value: '0.1 kPa' } });
    expect(on.page.querySelector('.try [role=alert]')!.textContent).toContain('kPa is not a unit of length');
    expect(on.text()).toContain('with the trial');
  });
  it('takes the gasket out on trial: engagement grows by its thickness', async () => {
    const on = await surface(atTooth(), 'depth');
    await fireEvent.click(on.page.querySelector('.try input[type=checkbox]')!);
    const row = on.rows('.lines tbody tr').find((r) => r.includes('engaged'))!;
    expect(row).toContain('8.100 mm');
  });
  it('ranks the tray with what each pick comes to, and takes the best with one key', async () => {
    const on = await surface(measured(), 'packing', packings);
    const picks = on.rows('ol li');
    expect(picks[0]).toContain('PK-12');
    expect(picks[0]).toMatch(/\bin over 99\.9 %/);
    expect(shortcut('t')).toBe(true);
    await Promise.resolve();
    const said = on.session.all.at(-1)!;
    expect(said).toMatchObject({ kind: 'take', part: 'packing', step: 'packing' });
    expect(on.session.state.work.stack.packing.map((p) => p.id)).toEqual(['PK-12']);
  });
  it('shows a pick in the drawing while it is looked at, and forgets it when the eye goes on', async () => {
    const on = await surface(measured(), 'packing', packings);
    const take = on.page.querySelector('ol li button')!;
    await fireEvent.focus(take);
    expect(on.rows('.lines tbody tr')[0]).toContain('0.165');
    await fireEvent.blur(take);
    expect(on.text()).not.toContain('with the trial');
  });
  it('puts back what was taken', async () => {
    const on = await surface(packed(), 'packing', packings);
    expect(on.page.querySelector('[role=status]')!.textContent).toContain('On this job: PK-12');
    await fireEvent.click(button(on.page, 'Put back'));
    expect(on.session.state.work.stack.packing).toEqual([]);
  });
  it('says what to cut to when nothing in the tray fits, and what is running out', async () => {
    const poor = packings.filter((t) => t.id !== 'PK-12').map((t) => ({ ...t, count: 1 }));
    const on = await surface(measured(), 'packing', poor);
    expect(on.text()).toContain('cut one to 0.122 mm');
    expect(on.text()).toContain('Running out:');
  });
  it('shows lengths in the unit of whoever looks', async () => {
    const on = await surface(measured(), 'packing', packings, {
      theme: 'light',
      length: 'thou',
      view: 'front',
      zone: 'UTC'
    });
    expect(on.rows('ol li')[0]).toMatch(/thou/);
    expect(on.text()).not.toMatch(/\d mm/);
  });
});

describe('the contact on the tooth', () => {
  const regear = () => new PlayedJob(engineWith(DRIVE), 'regear');
  it('is dragged by its two edges, judged while it is dragged, and logged when it is meant', async () => {
    const on = await surface(regear(), 'contact');
    expect(on.text()).toContain('No contact read yet.');
    const low = slider(on.page, 'Lower end of the contact');
    // a face of 22 mm is drawn 250 high from 276 upwards: 11 mm lies at 151
    await drag(slider(on.page, 'Upper end of the contact'), [256, 101], [256, 151]);
    await drag(low, [256, 201], [256, 264.6]);
    expect(low.getAttribute('aria-valuenow')).toBe('1');
    expect(on.text()).toContain('Deeper by 5.00 mm');
    expect(on.session.all).toEqual([]);
    await fireEvent.click(button(on.page, 'Log 1.0 mm to 11.0 mm'));
    expect(on.readings()).toEqual([
      ['patch-low', 1],
      ['patch-high', 11]
    ]);
    expect(on.rows()[0]).toContain('27 %');
  });
  it('is moved with the arrows, a tenth at a time or a millimetre, and its edges never cross', async () => {
    const on = await surface(regear(), 'contact');
    const low = slider(on.page, 'Lower end of the contact');
    await press(low, 'ArrowUp');
    expect(Number(low.getAttribute('aria-valuenow'))).toBeCloseTo(6.7, 9);
    await press(low, 'ArrowUp', { shiftKey: true });
    expect(Number(low.getAttribute('aria-valuenow'))).toBeCloseTo(7.7, 9);
    for (let k = 0; k < 12; k++) await press(low, 'ArrowUp', { shiftKey: true });
    expect(low.getAttribute('aria-valuenow')).toBe('15.4');
    await fireEvent.click(button(on.page, 'Drop it'));
    expect(on.session.all).toEqual([]);
    expect(on.text()).not.toContain('Drop it');
  });
  it('keeps before and after as a pair, and says how far the contact moved', async () => {
    const job = regear();
    job.read('contact', 'patch-low', '0.5');
    job.read('contact', 'patch-high', '9');
    job.read('contact-after', 'patch-low', '7');
    job.read('contact-after', 'patch-high', '15');
    const on = await surface(job, 'contact-after');
    expect(on.rows()[0]).toMatch(/^before/);
    expect(on.rows()[1]).toMatch(/^after/);
    expect(on.text()).toContain('Central');
    expect(on.text()).toContain('the contact moved 6.25 mm up');
    expect(on.page.querySelector('svg .before')).not.toBeNull();
  });
});

describe('gears compared', () => {
  it('names what is not known instead of assuming it, and stops at what differs', async () => {
    const job = new PlayedJob(engineWith(DRIVE), 'regear');
    const on = await surface(job, 'compare');
    expect(on.text()).toContain('Nothing is assumed. Still to be known:');
    on.session.say({ kind: 'choose', school: 'new-hand', option: 'left' });
    on.session.say({ kind: 'choose', school: 'new-material', option: 'cast-iron' });
    on.at('compare');
    on.type('11');
    await Promise.resolve();
    const hand = on.rows().find((r) => r.startsWith('Hand'))!;
    expect(hand).toContain('× differs');
    expect(on.rows().find((r) => r.startsWith('Teeth'))).toContain('✓ same');
    expect(on.text()).toContain('Stop.');
  });
  it('draws both rules for telling the hand', async () => {
    const on = await surface(new PlayedJob(engineWith(DRIVE), 'regear'), 'compare');
    expect([...on.page.querySelectorAll('svg text')].map((t) => t.textContent)).toEqual(['right-hand', 'left-hand']);
    expect(on.text()).toContain('right-hand too. Both must agree.');
  });
  it('says what half a turn of an odd gear costs, at the rotor and at the crank', async () => {
    const job = new PlayedJob(engineWith(DRIVE), 'regear');
    job.read('turned', 'gear-turned', '180');
    const on = await surface(job, 'turned');
    expect(on.text()).toContain('16.36° clockwise');
    expect(on.text()).toContain('At the crank 32.73°');
  });
});

describe('the tooth, on the cap from above', () => {
  it('lists the best place and its rivals with their room and what each costs', async () => {
    const on = await surface(planned(), 'tooth-plan');
    const rows = on.rows('[data-testid=teeth] tbody tr');
    expect(rows[0]).toContain('one clockwise');
    expect(rows[0]).toContain('169.7°');
    expect(rows[0]).toContain('76.5°');
    expect(rows.some((r) => r.includes('retard room only 14.0°'))).toBe(true);
  });
  it('takes a free arc dragged by its rings: the choice follows the hand, and is logged when it is meant', async () => {
    const on = await surface(planned(), 'tooth-plan');
    const before = on.rows('[data-testid=teeth] tbody tr')[0];
    const rings = [...on.page.querySelectorAll('[role=slider]')];
    expect(rings.length).toBe(2);
    const said = on.session.all.length;
    await press(rings[0]!, 'ArrowRight', { shiftKey: true });
    expect(on.rows('[data-testid=teeth] tbody tr')[0]).not.toBe(before);
    expect(on.session.all.length).toBe(said);
    await fireEvent.click(button(on.page, /^Log /));
    expect(on.session.all.length).toBe(said + 2);
    expect(on.session.state.work.tooth.arc!.minBearingDeg).toBe(344);
  });
  it('goes back to what is logged', async () => {
    const on = await surface(planned(), 'tooth-plan');
    const before = on.rows('[data-testid=teeth] tbody tr');
    await press(on.page.querySelector('[role=slider]')!, 'ArrowLeft');
    await fireEvent.click(button(on.page, 'Back to what is logged'));
    expect(on.rows('[data-testid=teeth] tbody tr')).toEqual(before);
  });
  it('says how the nearest miss lies when no tooth fits, and alarms at an arc with no room', async () => {
    const job = atTooth();
    job.read('tooth-plan', 'rotor-seen', '137');
    job.read('tooth-plan', 'arc-min', '90');
    job.read('tooth-plan', 'arc-max', '91');
    const on = await surface(job, 'tooth-plan');
    expect(on.page.querySelector('[role=alert]')!.textContent).toMatch(/Nearest: .*inside an obstacle/);
    cleanup();
    job.read('tooth-plan', 'arc-max', '90');
    const none = await surface(job, 'tooth-plan');
    expect(none.page.querySelector('[role=alert]')!.textContent).toContain('no free arc');
  });
  it('says what is still to come before it can choose', async () => {
    const on = await surface(atTooth(), 'tooth-plan');
    expect(on.text()).toContain('Still to come:');
    expect(on.text()).toContain('Drag the two rings');
  });
  it('leads the hand: where to point the rotor, how it turns on the way down, where it comes to rest', async () => {
    const job = planned().done('tooth-plan');
    job.read('lead', 'travel', '18');
    const helix = await surface(job, 'lead');
    expect(helix.text()).toContain('from the helix over the travel');
    cleanup();
    job.read('lead', 'twist', '25');
    const on = await surface(job, 'lead');
    expect(on.text()).toContain('25.0°');
    expect(on.text()).toContain('as seen on lifting out');
  });
  it('gives both ways when the oil-pump drive does not fall in, and where to stop', async () => {
    const job = planned().done('tooth-plan', 'lead', 'in');
    job.say({ kind: 'fact', fact: 'stoppedHigh', value: true });
    const on = await surface(job, 'drop');
    expect(on.text()).toContain('This drive fits 2 ways: it must drop within 360° of the crank.');
    on.type('128');
    on.type('110');
    await Promise.resolve();
    expect(on.page.querySelector('[data-testid=drop]')!.textContent).toMatch(/turn the crank forward until it drops/);
  });
  it.each([
    ['offset-blade', 'one way only', '720°'],
    ['hexagon', '6 ways', '120°']
  ])('a drive by %s fits %s', async (pumpDrive, ways, within) => {
    const on = await surface(new PlayedJob(engineWith({ ...DRIVE, pumpDrive }), 'pedestal'), 'drop');
    expect(on.text()).toContain(`This drive fits ${ways}: it must drop within ${within} of the crank.`);
  });
});

describe('drive shaft, rings, marks, leads and tip', () => {
  const shaft = { ...DRIVE, shaftHeightMinMm: '31.8', shaftHeightMaxMm: '32.2', driveSlotBearingDeg: '62' };
  it('names the nearest tooth for the slot and by how much it is better', async () => {
    const job = new PlayedJob(engineWith(shaft), 'open-case');
    job.read('orient', 'drive-slot', '80');
    const on = await surface(job, 'orient');
    expect(on.rows().find((r) => r.includes('of the crank') || r.includes('tooth'))).toContain(
      'one tooth anticlockwise'
    );
    expect(on.text()).toMatch(/The first is better by \d+\.\d°/);
    expect(on.text()).toContain('Look at the narrow side');
  });
  it('measures thrust rings against their own limits', async () => {
    const job = new PlayedJob(engineWith(shaft), 'open-case');
    job.read('stack', 'shaft-bare', '28.50');
    job.take('stack', 'ring', ['RG-0', 1.5, 0.01], ['RG-1', 2.0, 0.01]);
    const on = await surface(job, 'stack');
    expect(on.text()).toContain('32.00 mm');
    expect(on.text()).toContain('to lie from 31.80 mm to 32.20 mm');
    expect(on.page.querySelectorAll('svg .ring').length).toBe(2);
  });
  it('sets marks before against marks now, with what the change means', async () => {
    const job = new PlayedJob(engineWith(DRIVE), 'refit-same');
    job.read('marks', 'rotor-mark', '170');
    job.read('match', 'rotor-now', '203');
    const on = await surface(job, 'match');
    const rotor = on.rows().find((r) => r.includes('170°'))!;
    expect(rotor).toContain('203°');
    expect(rotor).toContain('one tooth out');
    expect(on.rows().some((r) => r.includes('not made'))).toBe(true);
    expect(on.text()).toContain('1-2-4-3, anticlockwise');
  });
  it('marks the towers that are wrong, names the fault and what to do', async () => {
    const job = new PlayedJob(engineWith(DRIVE), 'refit-same');
    const on = await surface(job, 'leads');
    expect(on.rows().filter((r) => r.includes('to trace')).length).toBe(4);
    for (const c of '3 1 4 2'.split(' ')) on.type(c);
    await Promise.resolve();
    expect(on.page.querySelector('[data-testid=miswire]')!.textContent).toContain('swapped');
    expect(on.text()).toContain('Change the two over');
    expect(on.rows().map((r) => r.includes('× wrong'))).toEqual([true, true, false, false]);
  });
  it('draws the tip at both ends of the range, out where it leaves its terminal', async () => {
    const widths = { tipRadiusMm: '32', tipWidthMm: '4', terminalWidthMm: '3', tipGapMm: '0.8', triggerShiftDeg: '9' };
    const job = new PlayedJob(engineWith({ ...DRIVE, ...widths }), 'fit-different');
    const on = await surface(job, 'tip');
    expect(on.text()).toContain('Still to come:');
    on.type('0');
    await Promise.resolve();
    expect(on.page.querySelectorAll('svg .tip.out').length).toBe(1);
    expect(on.text()).toContain('Best place of the tip at rest: 4.5° past its terminal');
  });
});
