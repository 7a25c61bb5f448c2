import { numberOf, sliderOf, type Engine } from '../../engine/engine.ts';
import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { parts } from './parts.ts';
import { rules } from './rules.ts';
import { schools } from './schools.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'crank',
  fields,
  flags,
  proofs,
  hazards: {},
  schools,
  slots,
  surfaces,
  parts,
  figures,
  rules,
  conflicts
} satisfies Manifest;

/** A rod that cannot follow its stroke. */
function conflicts(e: Engine): { names: string[]; message: string }[] {
  const g = sliderOf(e);
  if (!g || g.rodMm > g.strokeMm / 2 + Math.abs(g.pinOffsetMm ?? 0)) return [];
  return [
    {
      names: ['strokeMm', 'rodMm'],
      message: `A rod of ${numberOf(e, 'rodMm')} mm cannot follow a stroke of ${g.strokeMm} mm: it must be longer than half the stroke plus the offset.`
    }
  ];
}
