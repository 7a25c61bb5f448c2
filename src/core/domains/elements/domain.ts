import type { Domain, StepView } from '../../job/domain.ts';
import { degText, plusMinus, type LengthText } from '../../job/texts.ts';
import { domain as engine } from '../engine/domain.ts';
import { elementsWork } from './elements-work.ts';
import { settled } from './figures.ts';
import { tappetsHeadline } from './tappets.ts';
import type { ElementsState, ElementsWorks } from './works.ts';

/** The elements of an inline pump on the bench: where each of them closes its port, and the shims that put it right. */
export const domain: Domain<ElementsWorks, never> = {
  name: 'elements',
  needs: [engine],
  works: {
    elements: (c) =>
      Object.fromEntries(
        c.sheet.steps.filter((s) => s.surface === 'elements').map((s) => [s.id, elementsWork(c.engine, c.r, s.id)])
      )
  },
  surfaces: {
    elements: { headline: elementsHeadline, open: elementsOpen },
    'tappet-shims': { headline: tappetsHeadline }
  },
  figures: (state: ElementsState) =>
    Object.entries(state.work.elements)
      .filter(([, w]) => w.state !== null && w.worst)
      .slice(-1)
      .map(([, w]) =>
        settled('elements', {
          value: Math.abs(w.worst!.errorDeg!),
          u: w.scatterUnknown ? null : w.uDeg,
          verdict: w.state,
          limits: `\u00b1 ${w.withinDeg}° of the pump`,
          calc: 'pump.phasing',
          input: { order: w.order },
          output: w.rows.map(({ element, errorDeg, shimMm }) => ({ element, errorDeg, shimMm }))
        })
      )
};

function elementsHeadline(state: ElementsState, v: StepView, _: LengthText): string | null {
  const w = state.work.elements[v.step.id]!;
  const read = w.rows.filter((x) => x.reading).length;
  if (read === 0 || w.worst === null) return null;
  if (read < w.order.length)
    return `Next: element ${w.order[read]!}, near ${degText(w.rows[read]!.nominalDeg, 1)} after the first`;
  const known = w.scatterUnknown ? 'how surely is not known' : `${plusMinus(w.uDeg!, 2)}°`;
  const most = `${degText(Math.abs(w.worst.errorDeg!), 2)}, ${known}`;
  if (w.state === 'in') return `Evenly spaced: none off by more than ${most}; \u00b1 ${w.withinDeg}° may be`;
  if (w.state === 'unsure')
    return `Off by up to ${most}, and only \u00b1 ${w.withinDeg}° may be: too close to call. Read the closures finer, or again`;
  if (w.state === null) return 'Not judged: what the elements may stand off is not on the data sheet';
  return `Element ${w.worst.element} ${degText(Math.abs(w.worst.errorDeg!), 2)} ${w.worst.errorDeg! > 0 ? 'late: thicker shims' : 'early: thinner shims'}`;
}

function elementsOpen(state: ElementsState, v: StepView): string | null {
  const w = state.work.elements[v.step.id]!;
  const read = w.rows.filter((x) => x.reading).length;
  if (w.order.length === 0) return 'the firing order is not known';
  if (read < w.order.length) return `${read} of ${w.order.length} elements are read`;
  // the spacing as it was found may be anything; the shims come after it
  if (v.step.role !== 'spacing-proof') return null;
  if (w.state === null) return 'what the elements may stand off is not on the data sheet';
  return w.state === 'in' ? null : `an element is ${w.state === 'out' ? 'outside its tolerance' : 'too close to call'}`;
}
