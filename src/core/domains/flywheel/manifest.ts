import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { hazards } from './hazards.ts';
import { rules } from './rules.ts';
import { schools } from './schools.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'flywheel',
  fields,
  flags,
  proofs,
  hazards,
  schools,
  slots,
  surfaces,
  figures,
  rules,
  limits: [
    ['fullAdvanceMinBtdc', 'fullAdvanceMaxBtdc', 'full advance'],
    ['idleTimingMinBtdc', 'idleTimingMaxBtdc', 'idle timing']
  ]
} satisfies Manifest;
