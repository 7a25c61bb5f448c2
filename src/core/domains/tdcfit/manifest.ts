import type { Manifest } from '../../job/manifest.ts';
import { slots } from './slots.ts';

export const manifest = {
  name: 'tdcfit',
  onlyFor: { school: 'tdc', option: 'fit' },
  fields: [],
  flags: {},
  hazards: {},
  schools: {},
  slots,
  surfaces: [],
  parts: {},
  figures: {},
  rules: []
} satisfies Manifest;
