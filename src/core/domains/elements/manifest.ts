import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'elements',
  fields,
  flags,
  proofs,
  hazards: {},
  schools: {},
  slots,
  surfaces,
  figures,
  rules: [],
  limits: [['closureMinMm', 'closureMaxMm', 'lift to port closure']]
} satisfies Manifest;
