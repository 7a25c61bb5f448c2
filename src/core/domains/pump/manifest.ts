import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { hazards } from './hazards.ts';
import { parts } from './parts.ts';
import { rules } from './rules.ts';
import { schools } from './schools.ts';
import { slots } from './slots.ts';
import { chartConflicts } from './lift-chart.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'pump',
  fields,
  flags,
  proofs,
  hazards,
  schools,
  slots,
  surfaces,
  parts,
  figures,
  rules,
  limits: [['pumpMinBtdc', 'pumpMaxBtdc', 'pump timing']],
  conflicts: chartConflicts
} satisfies Manifest;
