import { choiceOf, type Engine } from '../engine/engine.ts';
import type { SheetPlan, RunSheet } from './run-sheet.ts';

/** Whether a run sheet is for an engine, and why; null while its data sheet does not say. */
export interface Fitting {
  fits: boolean | null;
  because: string;
}

/** A sheet against the data sheet of an engine: what speaks against it comes before what is not known. */
export function fitting(sheet: Pick<SheetPlan, 'fits'> & Pick<RunSheet, 'words'>, engine: Engine): Fitting {
  let open: string | null = null;
  for (const fit of sheet.fits ?? []) {
    const field = sheet.words.fields.find((f) => f.name === fit.field);
    const value = choiceOf(engine, fit.field);
    if (value === undefined) open ??= `the data sheet does not say: ${field?.label.toLowerCase() ?? fit.field}`;
    else if (!fit.is.includes(value)) {
      const said = field?.choices?.find((c) => c.id === value)?.label ?? value;
      return { fits: false, because: fit.otherwise.replace('$', said) };
    }
  }
  return open === null ? { fits: true, because: '' } : { fits: null, because: open };
}
