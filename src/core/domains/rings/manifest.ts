import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { parts } from './parts.ts';
import { rules } from './rules.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'rings',
  fields,
  flags,
  proofs,
  hazards: {},
  schools: {},
  slots,
  surfaces,
  parts,
  figures,
  rules,
  limits: [['shaftHeightMinMm', 'shaftHeightMaxMm', 'height of the drive shaft']]
} satisfies Manifest;
