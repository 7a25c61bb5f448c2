import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { hazards } from './hazards.ts';
import { rules } from './rules.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'bleeding',
  fields,
  flags,
  proofs,
  hazards,
  slots,
  surfaces,
  figures,
  rules,
  limits: [['idleMinRpm', 'idleMaxRpm', 'idle']]
} satisfies Manifest;
