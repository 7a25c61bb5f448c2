import { tick, type Component } from 'svelte';
import { vi } from 'vitest';
import { domains } from '$core/domains/all.ts';
import type { TrayGauge } from '$core/tray/gauge-kinds.ts';
import type { Prefs } from '$lib/reader/prefs.ts';
import { JobSession } from '$lib/ui/job/session.svelte.ts';
import { Unsent } from '$lib/ui/unsent/unsent.svelte.ts';
import { ReadingLine } from '$lib/ui/job/line.svelte.ts';
import { JobView } from '$lib/ui/job/view.svelte.ts';
import { loadSurface } from '$lib/ui/surfaces/load.ts';
import { sheetOf } from '$core/sheets/index.ts';
import type { Engine } from '$core/engine/engine.ts';
import type { JobEvent } from '$core/job/index.ts';
import type { StockItem } from '$core/tray/part-kinds.ts';
import { engineWith, GAUGES, SHEET, type PlayedJob } from '../support/played.ts';

export const me = { id: 'ines-farrow', name: 'Ines Farrow' };
export const gauges: TrayGauge[] = Object.entries(GAUGES).map(([kind, g]) => ({
  ...g,
  kind: kind as TrayGauge['kind'],
  perRevMm: kind === 'dial' ? 1 : null,
  calibratedOn: null,
  scatter: 0.02,
  scatterDof: 20
}));

/** A server out of reach and an empty memory: everything said counts at once and waits to be sent. */
export function away(): void {
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} });
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }));
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('fetch failed')));
}

interface Opened {
  sheet: string;
  values?: Record<string, string>;
  engine?: Engine;
  log?: JobEvent[];
  who?: typeof me | null;
  stock?: StockItem[];
  gauges?: TrayGauge[];
  prefs?: () => Prefs;
  /** the trades that are here so far; left out: all of the sheet's */
  trades?: readonly string[];
}
const DAY: Prefs = { theme: 'light', length: 'mm', view: 'front', zone: 'UTC' };

/** One job on one screen, without its drawing. */
export function screen(o: Opened) {
  const prefs = o.prefs ?? (() => DAY);
  const sheet = sheetOf(o.sheet)!;
  const data = {
    job: { id: '1' },
    sheet,
    // just what a browser fetches for this sheet, and no other
    domains: domains.filter((d) => (o.trades ?? sheet.domains).includes(d.name)),
    engine: o.engine ?? engineWith(o.values ?? SHEET),
    log: o.log ?? [],
    gauges: o.gauges ?? gauges,
    stock: o.stock ?? []
  };
  const session = new JobSession(data, () => (o.who === undefined ? me : o.who), new Unsent());
  const view = new JobView(session, prefs);
  const line = new ReadingLine(session, () => view.selected.step, prefs);
  const type = (text: string) => {
    line.text = text;
    return line.enter();
  };
  const at = (step: string) => {
    view.picked = step;
    line.drop();
  };
  const readings = () => session.state.readings.map((r) => [r.slot, r.value]);
  return { session, view, line, type, at, readings };
}

/** The surface of a step over a job played so far, drawn into a page without pixels. */
export async function surface(
  job: PlayedJob,
  step: string,
  stock: StockItem[] = [],
  prefs: Prefs = DAY,
  trades?: readonly string[]
) {
  // here, as the library wants a page when it is loaded, and the tests without a drawing have none
  const { render } = await import('@testing-library/svelte');
  const on = screen({
    sheet: job.sheetId,
    engine: job.engine,
    log: [...job.log],
    stock,
    prefs: () => prefs,
    ...(trades && { trades })
  });
  on.at(step);
  const Part = (await loadSurface(on.view.selected.step.surface)) as unknown as Component<Record<string, unknown>>;
  const { session, view, line } = on;
  const drawn = render(Part, { session, view, line, prefs, stepId: step, onamend: () => {} });
  await tick();
  const page = drawn.container;
  const text = () => plain(page);
  /** the rows of a table by what they say */
  const rows = (selector = 'tbody tr') => [...page.querySelectorAll(selector)].map(plain);
  return { ...on, ...drawn, page, text, rows };
}

/** Presses a key on something that takes the focus, and lets the page follow. */
export async function press(on: Element, key: string, more: KeyboardEventInit = {}): Promise<void> {
  on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));
  await tick();
}

/**
 * Gives drawings the little geometry a page without pixels lacks: one unit of the drawing is one pixel.
 * Answers a drag of something by so much.
 */
export function withGeometry(): (on: Element, from: [number, number], to: [number, number]) => Promise<void> {
  class Point {
    constructor(
      readonly x: number,
      readonly y: number
    ) {}
    matrixTransform() {
      return this;
    }
  }
  vi.stubGlobal('DOMPoint', Point);
  Object.assign(SVGElement.prototype, {
    getScreenCTM: () => ({ inverse: () => ({}) }),
    setPointerCapture: () => {}
  });
  return async (on, [x, y], [toX, toY]) => {
    const at = (type: string, clientX: number, clientY: number) =>
      on.dispatchEvent(new MouseEvent(type, { clientX, clientY, bubbles: true }));
    at('pointerdown', x, y);
    at('pointermove', toX, toY);
    at('pointerup', toX, toY);
    await tick();
  };
}

/** What something says, as a reader hears it: without the line breaks of its source. */
export const plain = (e: Element): string => e.textContent!.replace(/\s+/g, ' ').trim();

/** The button that says so; a text is how it begins. */
export function button(page: Element, name: string | RegExp): HTMLButtonElement {
  const all = [...page.querySelectorAll('button')];
  const one = all.find((b) => (typeof name === 'string' ? plain(b).startsWith(name) : name.test(plain(b))));
  if (!one) throw new Error(`no button ${name}; there are ${all.map(plain).join(' | ')}`);
  return one;
}
