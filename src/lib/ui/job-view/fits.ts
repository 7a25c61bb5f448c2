import type { Attachment } from 'svelte/attachments';

/** The least share of its own size that a drawing is brought down to, so that its words can still be read. */
const IN_USE = 0.75;
/** Where one looks ahead, where values that it is drawn from are still asked for, and of a drawing not worked on. */
const LOOKED_AT = 0.55;

/**
 * Keeps the first drawing of a surface clear of the row of actions: where what is said above leaves too little height it
 * is drawn smaller, as far as its words stay readable; one that is only looked at waits until there is room for it. Where the
 * page itself scrolls (a phone) it is left alone.
 */
export function fitted(lead: () => HTMLElement | undefined, inUse: () => boolean): Attachment<HTMLElement> {
  return (surface) => {
    const main = surface.closest('main');
    const above = lead();
    if (!main || !above || typeof ResizeObserver === 'undefined') return;
    function fit() {
      const drawing = surface.querySelector<HTMLElement>('.stack, svg.drawing, .chart');
      if (!drawing || !main) return;
      const inline = drawing.classList.contains('chart') ? 'maxHeight' : 'maxWidth';
      drawing.style[inline] = drawing.style.display = '';
      if (getComputedStyle(main).overflowY !== 'auto' || main.clientHeight === 0) return;
      const { width, height, bottom } = drawing.getBoundingClientRect();
      const over = bottom + main.scrollTop - main.getBoundingClientRect().top - main.clientHeight;
      if (over <= 0) return;
      const room = 1 - (over + 4) / height;
      const used = inUse() && !drawing.classList.contains('glance');
      if (!used && room < LOOKED_AT) drawing.style.display = 'none';
      else
        drawing.style[inline] =
          `${Math.floor(Math.max(room, IN_USE * +used) * (inline === 'maxWidth' ? width : height))}px`;
    }
    const watch = new ResizeObserver(fit);
    for (const e of [main, above, surface]) watch.observe(e);
    return () => watch.disconnect();
  };
}
