import type { Manifest } from '../../job/manifest.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'walk',
  fields: [],
  flags: {},
  hazards: {},
  schools: {},
  slots,
  surfaces,
  figures: {},
  rules: []
} satisfies Manifest;
