// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { fitted } from '$lib/ui/job-view/fits.ts';

/** A page of 600 px, with so much said above a drawing of 300 by 300. */
function page(above: number, { inUse = true, drawing = '<svg class="drawing"></svg>', scrolls = true } = {}) {
  document.body.innerHTML = `<main style="overflow-y: ${scrolls ? 'auto' : 'visible'}"><div></div><div class="surface">${drawing}</div></main>`;
  const [main, lead, surface] = ['main', 'main > div', '.surface'].map((q) => document.querySelector<HTMLElement>(q)!);
  const drawn = surface!.querySelector<HTMLElement>('.drawing, .chart');
  const rect = (top: number, height: number, width: number) =>
    ({ top, height, width, bottom: top + height }) as unknown as DOMRect;
  Object.defineProperty(main, 'clientHeight', { value: 600 });
  main!.getBoundingClientRect = () => rect(0, 600, 700);
  if (drawn) drawn.getBoundingClientRect = () => rect(above, 300, 300);
  const off = fitted(
    () => lead!,
    () => inUse
  )(surface!);
  told();
  return { drawn, off };
}
let told = () => {};
const watching = new Set<unknown>();
beforeEach(() => {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      constructor(say: () => void) {
        told = say;
      }
      observe() {
        watching.add(this);
      }
      disconnect() {
        watching.delete(this);
      }
    }
  );
});
afterEach(() => vi.unstubAllGlobals());

describe('a drawing beside a row of actions', () => {
  it('keeps its own size where there is room, or where the page itself scrolls', () => {
    expect(page(290).drawn!.style.maxWidth).toBe('');
    expect(page(500, { scrolls: false }).drawn!.style.maxWidth).toBe('');
  });
  it('becomes as much smaller as it lacks height', () => {
    // 36 px and 4 to spare are lacking of 300
    expect(page(336).drawn!.style.maxWidth).toBe('260px');
    const chart = page(336, { drawing: '<div class="chart"></div>' }).drawn!;
    expect([chart.style.maxHeight, chart.style.maxWidth]).toEqual(['260px', '']);
    // what moves over a drawing lies in one stack with it, and is made smaller with it
    const stack = page(336, { drawing: '<div class="stack drawing"><svg class="drawing"></svg></div>' }).drawn!;
    expect([stack.style.maxWidth, stack.querySelector('svg')!.style.maxWidth]).toEqual(['260px', '']);
  });
  it('never becomes so small in use that its words cannot be read; one that is looked at may be smaller', () => {
    expect(page(450).drawn!.style.maxWidth).toBe('225px');
    expect(page(420, { inUse: false }).drawn!.style.maxWidth).toBe('176px');
    expect(page(420, { drawing: '<svg class="drawing glance"></svg>' }).drawn!.style.maxWidth).toBe('176px');
  });
  it('that is only looked at waits until there is room for it', () => {
    const { drawn } = page(450, { inUse: false });
    expect(drawn!.style.display).toBe('none');
    drawn!.getBoundingClientRect = () => ({ top: 200, height: 300, width: 300, bottom: 500 }) as DOMRect;
    told();
    expect([drawn!.style.display, drawn!.style.maxWidth]).toEqual(['', '']);
  });
  it('is left alone where there is none, and is not watched once its step has gone', () => {
    expect(() => page(450, { drawing: '<p>figures</p>' })).not.toThrow();
    watching.clear();
    const { off } = page(450);
    expect(watching.size).toBe(1);
    (off as () => void)();
    expect(watching.size).toBe(0);
  });
});
