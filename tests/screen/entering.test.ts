// @vitest-environment jsdom
import { fieldOf } from '$core/sheets/data-sheet.ts';
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/svelte';
import SheetField from '$lib/ui/engine/SheetField.svelte';
import EnterValues from '$lib/ui/engine/EnterValues.svelte';
import LoadMap from '$lib/ui/curves/LoadMap.svelte';
import Cap from '$lib/ui/instruments/cap/Cap.svelte';
import FreeArc from '$lib/ui/instruments/cap/FreeArc.svelte';
import Tooth from '$lib/ui/instruments/tooth/Tooth.svelte';
import SpringForm from '$lib/ui/tray/SpringForm.svelte';
import { away, plain, press, withGeometry } from './support.ts';

/** What is typed into forms, and drawings by themselves. */
let drag: ReturnType<typeof withGeometry>;
beforeEach(() => {
  away();
  drag = withGeometry();
});
afterEach(cleanup);
const PREFS = { theme: 'light', length: 'in', view: 'front', zone: 'UTC' } as const;

describe('a spring rated by weights', () => {
  const type = async (page: Element, label: string, value: string) => {
    const field = page.querySelector<HTMLInputElement>(`[aria-label="${label}"]`)!;
    await fireEvent.input(field, { target: { value } });
  };
  async function hang(page: Element, ...loads: [string, string][]) {
    for (const [k, [mass, length]] of loads.entries()) {
      await type(page, `Weight ${k + 1}, grams`, mass);
      await type(page, `Length under weight ${k + 1}`, length);
    }
  }
  const rated = (page: Element) => page.querySelector('[data-testid=rated]');

  it('is rated while it is typed, from two weights on, with its doubt', async () => {
    const { container: page } = render(SpringForm, { sent: {}, unit: 'mm' });
    await hang(page, ['200', '21.0']);
    expect(rated(page)).toBeNull();
    // 200 g and 500 g, 1.5 mm apart: 0.3 kg · 9.80665 / 1.5
    await hang(page, ['200', '21,0'], ['500', '22.5']);
    expect(plain(rated(page)!)).toMatch(/^1\.961 N\/mm ± /);
    await hang(page, ['200', '21.0'], ['500', '22.5'], ['800', '24.0']);
    expect(plain(rated(page)!)).toMatch(/^1\.961 N\/mm ± 0\.000/);
  });
  it('says what it holds at rest, or that it is slack there', async () => {
    const { container: page } = render(SpringForm, { sent: {}, unit: 'mm' });
    await hang(page, ['200', '21.0'], ['500', '22.5']);
    const rest = screen.getByLabelText('Length at rest in the distributor');
    await fireEvent.input(rest, { target: { value: '21' } });
    expect(plain(rated(page)!)).toContain('holds 1.961 N at rest');
    await fireEvent.input(rest, { target: { value: '19' } });
    expect(plain(rated(page)!)).toContain('slack, its loop has play');
  });
  it('reads its lengths in the unit that is chosen', async () => {
    const { container: page } = render(SpringForm, { sent: {}, unit: 'in' });
    await hang(page, ['200', '0.8268'], ['500', '0.8858']);
    expect(Number(/^[\d.]+/.exec(plain(rated(page)!))![0])).toBeCloseTo(1.96, 1);
    await fireEvent.change(screen.getByLabelText('Unit of the lengths'), { target: { value: 'mm' } });
    expect(Number(/^[\d.]+/.exec(plain(rated(page)!))![0])).toBeGreaterThan(40);
  });
  it('comes back with every row that was sent when it is refused, a fourth weight too', async () => {
    const sent = {
      name: 'S-99',
      unit: 'mm',
      'mass-0': '100',
      'length-0': '20',
      'mass-1': '200',
      'length-1': '20.5',
      'mass-2': '300',
      'length-2': '21',
      'mass-3': '400',
      'length-3': '21.5'
    };
    const { container: page } = render(SpringForm, { sent, unit: 'mm' });
    expect(page.querySelector<HTMLInputElement>('[name=mass-3]')!.value).toBe('400');
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('S-99');
    expect(rated(page)).not.toBeNull();
    await fireEvent.click([...page.querySelectorAll('button')].find((b) => plain(b) === 'one more weight')!);
    expect(page.querySelector('[name=mass-4]')).not.toBeNull();
  });
});

describe('values a step lacks', () => {
  const props = () => ({
    engineId: 'lock-4-pump',
    fields: ['strokeMm', 'rotorDirection', 'firingOrder'].map((n) => fieldOf(n)!),
    prefs: PREFS,
    onentered: vi.fn()
  });
  const labelled = (name: string) =>
    screen.getByLabelText<HTMLInputElement>(name === 'source' ? 'Where it comes from' : fieldOf(name)!.label);
  const fill = async (name: string, value: string) => {
    const field = labelled(name);
    const kind = field.tagName === 'SELECT' ? 'change' : 'input';
    await fireEvent[kind](field, { target: { value } });
  };
  const answers = (body: object, status = 200) => {
    const fetch = vi.fn((_url: string, _init: { body: string }) =>
      Promise.resolve(new Response(JSON.stringify(body), { status }))
    );
    vi.stubGlobal('fetch', fetch);
    return fetch;
  };
  it('are asked with unit and example, sent with where they come from, and only those that were given', async () => {
    const p = props();
    const fetch = answers({ ok: true, out: [] });
    const { container: page } = render(EnterValues, p);
    await fill('strokeMm', '3 5/8');
    await fill('rotorDirection', 'cw');
    await fill('source', 'plate');
    await fireEvent.submit(page.querySelector('form')!);
    await waitFor(() => expect(p.onentered).toHaveBeenCalledOnce());
    const [url, init] = fetch.mock.calls[0]!;
    expect(url).toBe('/api/engines/lock-4-pump/values');
    expect(JSON.parse(init.body).values).toEqual([
      { name: 'strokeMm', given: '3 5/8', unit: 'in', source: 'plate' },
      { name: 'rotorDirection', given: 'cw', unit: null, source: 'plate' }
    ]);
    expect(labelled('strokeMm').value).toBe('');
  });
  it('that are refused stay where they were typed, with the reason at their field', async () => {
    const p = props();
    answers({ ok: false, error: { code: 'bad-input', path: 'firingOrder', message: 'Cylinder 3 stands twice.' } }, 422);
    const { container: page } = render(EnterValues, p);
    await fill('firingOrder', '1-3-3-2');
    await fireEvent.submit(page.querySelector('form')!);
    await waitFor(() => expect(page.querySelector('[role=alert]')).not.toBeNull());
    expect(plain(page.querySelector('[role=alert]')!)).toBe('Cylinder 3 stands twice.');
    const field = labelled('firingOrder');
    expect([field.value, field.getAttribute('aria-invalid')]).toEqual(['1-3-3-2', 'true']);
    expect(p.onentered).not.toHaveBeenCalled();
  });
  it('stay when the server is away, and nothing is sent while nothing is typed', async () => {
    const p = props();
    const { container: page } = render(EnterValues, p);
    await fireEvent.submit(page.querySelector('form')!);
    expect(page.querySelector('[role=alert]')).toBeNull();
    await fill('strokeMm', '92');
    await fireEvent.submit(page.querySelector('form')!);
    await waitFor(() => expect(plain(page)).toContain('What you typed stays here: try again.'));
    expect(labelled('strokeMm').value).toBe('92');
  });
});

describe('a table pasted into a data sheet', () => {
  const paste = (field: Element, text: string) => {
    const e = new Event('paste', { bubbles: true, cancelable: true });
    Object.assign(e, { clipboardData: { getData: () => text } });
    return fireEvent(field, e);
  };
  it('is laid out in one line, point after point; a single value is left to the browser', async () => {
    render(SheetField, { field: fieldOf('liftChart')!, length: 'mm' });
    const field = screen.getByRole<HTMLInputElement>('textbox');
    await paste(field, 'btdc,lift\r\n14,1.62\r\n16,1.95\r\n18,2.31\r\n');
    expect(field.value).toBe('btdc,lift; 14,1.62; 16,1.95; 18,2.31');
    await paste(field, '14 1.62');
    expect(field.value).toBe('btdc,lift; 14,1.62; 16,1.95; 18,2.31');
  });
});

describe('a table taken from a file', () => {
  // a page without a browser has no way to read a file's text
  const file = (text: string) => ({ name: 'chart.csv', text: () => Promise.resolve(text) });
  const drawn = () => {
    const { container: page } = render(SheetField, { field: fieldOf('liftChart')!, length: 'mm' });
    const input = page.querySelector<HTMLInputElement>('input[type=file]')!;
    return { page, input, line: page.querySelector<HTMLTextAreaElement>('textarea')! };
  };
  it('is laid out to be looked at, and says how many points and what was passed over', async () => {
    const { page, input, line } = drawn();
    await fireEvent.change(input, { target: { files: [file('crank;lift\n14;2,16\n18;1,52\n22;0,93\n')] } });
    await waitFor(() => expect(line.value).toBe('14 2.16; 18 1.52; 22 0.93'));
    expect(page.querySelector('[role=status]')!.textContent).toContain(
      '3 points from chart.csv, 1 line without figures'
    );
  });
  it('that is none says so and leaves what was typed', async () => {
    const { page, input, line } = drawn();
    await fireEvent.input(line, { target: { value: '14 2.16' } });
    await fireEvent.change(input, { target: { files: [file('degrees;lift\n14\n')] } });
    await waitFor(() => expect(page.querySelector('[role=status]')!.textContent).toContain('has too few figures'));
    expect(line.value).toBe('14 2.16');
  });
});

describe('the load map', () => {
  const base = {
    initialBtdc: 10,
    centrifugal: [
      { rpm: 1000, deg: 0 },
      { rpm: 3000, deg: 20 }
    ],
    vacuum: [
      { kpa: 15, deg: 0 },
      { kpa: 35, deg: 10 }
    ],
    maxRpm: 4000
  };
  it('adds initial, weights and vacuum at idle, cruise and full load', () => {
    const { container: page } = render(LoadMap, {
      ...base,
      idle: { rpm: 650, kpa: 45 },
      cruise: { rpm: 2000, kpa: 25 }
    });
    const rows = [...page.querySelectorAll('tbody tr')].map((r) => [...r.children].map(plain));
    expect(rows).toEqual([
      ['idle', '650', '45', '10.0°', '0.0°', '10.0°', '20.0°'],
      ['cruise', '2,000', '25', '10.0°', '10.0°', '5.0°', '25.0°'],
      ['full load', '4,000', '0', '10.0°', '20.0°', '0.0°', '30.0°']
    ]);
    // 10 at rest and full load below 40: lines each four degrees, and each is named
    const named = [...page.querySelectorAll('text.figure')].map(plain);
    expect(named).toEqual(['12°', '16°', '20°', '24°', '28°', '32°', '36°']);
    expect(page.querySelector('.way')).not.toBeNull();
  });
  it('leaves out places that are not known, and says so', () => {
    const { container: page } = render(LoadMap, { ...base, idle: null, cruise: null });
    expect([...page.querySelectorAll('tbody tr')].length).toBe(1);
    expect(plain(page)).toContain('those places are left out');
    expect(page.querySelector('.way')).toBeNull();
  });
});

describe('drawings by themselves', () => {
  it('the cap says its towers in firing order and which way the rotor runs', () => {
    const { container: page } = render(Cap, {
      order: [1, 2, 4, 3],
      rotor: 'ccw',
      ratio: 0.5,
      firstBearing: 145,
      housing: { turn: 'cw', text: 'Turn the housing clockwise 2°' }
    });
    const svg = page.querySelector('svg')!;
    expect(svg.getAttribute('aria-label')).toBe(
      'Cap from above: terminals 1, 2, 4, 3 in firing order, rotor runs anticlockwise; Turn the housing clockwise 2°'
    );
    expect([...page.querySelectorAll('.number')].map(plain)).toEqual(['1', '2', '4', '3']);
    expect(plain(svg)).toContain('number one at 4:50 (145°)');
    expect(page.querySelector('.move')).not.toBeNull();
  });
  it('the cap says that number one is not placed, and does not pretend', () => {
    const { container: page } = render(Cap, { order: [1, 3, 2], rotor: 'cw', ratio: 0.5, firstBearing: null });
    expect(plain(page)).toContain('number one not placed yet');
    expect(page.querySelector('.rotor')!.classList.contains('assumed')).toBe(true);
    expect(page.querySelector('.move')).toBeNull();
  });
  it('the free arc is turned by key past the front without a jump, a degree or ten', async () => {
    const onchange = vi.fn();
    const { container: page } = render(FreeArc, { min: 355, max: 40, trial: false, onchange });
    const [from, to] = [...page.querySelectorAll('[role=slider]')];
    await press(from!, 'ArrowRight', { shiftKey: true });
    expect(onchange).toHaveBeenLastCalledWith(5, 40);
    await press(to!, 'ArrowLeft');
    expect(onchange).toHaveBeenLastCalledWith(355, 39);
    await press(to!, 'Tab');
    expect(onchange).toHaveBeenCalledTimes(2);
  });
  it('the free arc follows a hand on one of its rings, to whole degrees', async () => {
    const onchange = vi.fn();
    const target = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    document.body.append(target);
    const { container: page } = render(FreeArc, { target, props: { min: 355, max: 40, trial: true, onchange } });
    const ring = page.querySelector('[role=slider]')!;
    await drag(ring, [0, 0], [1000, 1000]);
    const [min, max] = onchange.mock.lastCall!;
    expect(max).toBe(40);
    expect(Number.isInteger(min)).toBe(true);
    // far to the right and below: between a quarter past and half past on the clock
    expect(min).toBeGreaterThan(90);
    expect(min).toBeLessThan(180);
    target.remove();
  });
  it('what was logged cannot be dragged where nothing is asked', () => {
    const { container: page } = render(FreeArc, { min: 355, max: 40, trial: false });
    expect(page.querySelector('[role=slider]')).toBeNull();
    cleanup();
    const { container: tooth } = render(Tooth, {
      faceMm: 22,
      patch: { low: 4, high: 12 },
      before: null,
      valueText: (mm: number) => `${mm} mm`
    });
    expect(tooth.querySelector('[role=slider]')).toBeNull();
    expect(tooth.querySelector('svg')!.getAttribute('aria-label')).toContain('contact from 4 mm to 12 mm');
  });
  it('the contact never leaves the tooth, however far the hand goes', async () => {
    const onchange = vi.fn();
    const patch = { low: 4, high: 12 };
    const { container: page } = render(Tooth, { faceMm: 22, patch, before: null, valueText: String, onchange });
    const [low, high] = [...page.querySelectorAll('[role=slider]')];
    await drag(high!, [256, 100], [256, -900]);
    expect(onchange).toHaveBeenLastCalledWith({ low: 4, high: 22 });
    await drag(low!, [256, 200], [256, 2000]);
    expect(onchange).toHaveBeenLastCalledWith({ low: 0, high: 12 });
    await tick();
    onchange.mockClear();
    low!.dispatchEvent(new MouseEvent('pointermove', { clientX: 256, clientY: 100 }));
    expect(onchange).not.toHaveBeenCalled();
  });
});
