import type { Engine } from '../../engine/engine.ts';
import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { rules } from './rules.ts';
import { schools } from './schools.ts';
import { slots } from './slots.ts';
import { numberOf, surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'timing',
  fields,
  flags,
  proofs,
  hazards: {},
  schools,
  slots,
  surfaces,
  figures,
  rules,
  limits: [
    ['contactGapMinMm', 'contactGapMaxMm', 'contact gap'],
    ['dwellMinDeg', 'dwellMaxDeg', 'dwell']
  ],
  conflicts
} satisfies Manifest;

/** The initial timing must lie inside its own limits. */
function conflicts(e: Engine): { names: string[]; message: string }[] {
  const min = numberOf(e, 'staticMinBtdc');
  const max = numberOf(e, 'staticMaxBtdc');
  const target = numberOf(e, 'staticBtdc');
  if (min !== undefined && max !== undefined && min > max)
    return [
      {
        names: ['staticMinBtdc', 'staticMaxBtdc'],
        message: 'The earliest limit of the initial timing is below the latest.'
      }
    ];
  const outside = target !== undefined && ((min !== undefined && target < min) || (max !== undefined && target > max));
  return outside ? [{ names: ['staticBtdc'], message: 'The initial timing lies outside its own limits.' }] : [];
}
