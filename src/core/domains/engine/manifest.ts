import { cycleDegOf, listOf, numberOf, type Engine } from '../../engine/engine.ts';
import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { hazards } from './hazards.ts';
import { parts } from './parts.ts';
import { rules } from './rules.ts';
import { schools } from './schools.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'engine',
  fields,
  flags,
  proofs,
  hazards,
  schools,
  slots,
  surfaces,
  parts,
  figures: {},
  rules,
  conflicts
} satisfies Manifest;

/** Cylinders, firing order and firing angles must be of one engine. */
function conflicts(e: Engine): { names: string[]; message: string }[] {
  const found: { names: string[]; message: string }[] = [];
  const count = numberOf(e, 'cylinders');
  const order = listOf(e, 'firingOrder');
  const offsets = listOf(e, 'firingOffsets');
  if (count !== undefined && order && order.length !== count)
    found.push({
      names: ['cylinders', 'firingOrder'],
      message: `${count} cylinders, but the firing order names ${order.length}.`
    });
  if (offsets && order && offsets.length !== order.length)
    found.push({
      names: ['firingOffsets'],
      message: `The firing order names ${order.length} cylinders, the firing angles ${offsets.length}.`
    });
  if (offsets && offsets[offsets.length - 1]! >= cycleDegOf(e))
    found.push({ names: ['firingOffsets'], message: `A firing angle reaches ${cycleDegOf(e)}°, the whole cycle.` });
  return found;
}
