import type { Manifest, TrendRow } from '../../job/manifest.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'recurve',
  // what is known of springs and stop stands with the other values of the advance
  fields: [],
  flags,
  proofs,
  hazards: {},
  slots,
  surfaces,
  figures,
  rules: [],
  trendText: { model: (r: TrendRow) => `missed by ${r.value.toFixed(1)}° rms` }
} satisfies Manifest;
