import type { Attachment } from 'svelte/attachments';

export interface Spot {
  x: number;
  y: number;
}

export interface Grip {
  /** the hand takes hold at a spot; answering false leaves it alone */
  take?: (at: Spot) => boolean | void;
  /** the hand that holds is at a spot, `from` where it took hold */
  drag: (at: Spot, from: Spot) => void;
  /** the hand lets go; `whole` is false when the gesture was broken off */
  drop?: (whole: boolean) => void;
  /** steps by key: arrows by one, with Shift by ten, Page by five, Home and End by all there is */
  step: (by: number) => void;
  /** any other key, before it goes on to the view; answering true takes it */
  key?: (e: KeyboardEvent) => boolean | void;
  /** where a pointer is, in the drawing's own units; left out: those of the SVG around it */
  place?: (e: PointerEvent, on: Element) => Spot;
}

const ARROWS: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 };
const LEAPS: Record<string, number> = { PageUp: 5, PageDown: -5, Home: -Infinity, End: Infinity };

/** Where a pointer is in the units of the SVG it is over. */
export function inDrawing(e: PointerEvent, on: Element): Spot {
  const svg = on instanceof SVGSVGElement ? on : (on as SVGElement).ownerSVGElement!;
  const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
  return { x: p.x, y: p.y };
}

/**
 * Makes a part of a drawing something to take hold of: dragged with a pointer, moved with the keys. Every instrument is
 * handled alike; what a move means is the instrument's own. `grip` is asked anew at each move, so it may be derived.
 */
export function gripped(grip: () => Grip | null): Attachment<HTMLElement | SVGElement> {
  return (on) => {
    let held: { pointer: number; from: Spot } | null = null;
    const where = (e: PointerEvent) => (grip()?.place ?? inDrawing)(e, on);
    const down = (event: Event) => {
      const e = event as PointerEvent;
      const g = grip();
      if (!g) return;
      const at = where(e);
      if (g.take?.(at) === false) return;
      // no mouse events beside the pointer's own while it is held: each move would be dealt with twice. They would also
      // have given the focus, without the ring that is the keyboard's.
      e.preventDefault();
      on.focus({ preventScroll: true, focusVisible: false } as FocusOptions);
      held = { pointer: e.pointerId, from: at };
      on.setPointerCapture(e.pointerId);
    };
    const move = (event: Event) => {
      const e = event as PointerEvent;
      if (held && held.pointer === e.pointerId) grip()?.drag(where(e), held.from);
    };
    const end = (whole: boolean) => () => {
      if (!held) return;
      held = null;
      grip()?.drop?.(whole);
    };
    const key = (event: Event) => {
      const e = event as KeyboardEvent;
      const g = grip();
      if (!g) return;
      const by = ARROWS[e.key] === undefined ? LEAPS[e.key] : ARROWS[e.key]! * (e.shiftKey ? 10 : 1);
      if (by === undefined && !g.key?.(e)) return;
      e.preventDefault();
      e.stopPropagation();
      if (by !== undefined) g.step(by);
    };
    const listeners: [string, (e: Event) => void][] = [
      ['pointerdown', down],
      ['pointermove', move],
      ['pointerup', end(true)],
      ['pointercancel', end(false)],
      ['keydown', key]
    ];
    for (const [name, listener] of listeners) on.addEventListener(name, listener);
    return () => {
      for (const [name, listener] of listeners) on.removeEventListener(name, listener);
    };
  };
}
