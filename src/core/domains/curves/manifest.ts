import type { Manifest, TrendRow } from '../../job/manifest.ts';
import { formatSpeed, formatTiming } from '../../units/format.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { rules } from './rules.ts';
import { schools } from './schools.ts';
import { slots } from './slots.ts';
import { surfaces } from './vocabulary.ts';

interface Curve {
  fullRpm: number;
  worst: { rpm: number; byDeg: number } | null;
}

/** A curve says more from job to job than one figure does. */
const trendText = {
  curve: (r: TrendRow) => {
    const c = r.output as Curve | null;
    const worst = c?.worst
      ? `, ${c.worst.byDeg < 0 ? 'lazy' : 'fast'} by ${Math.abs(c.worst.byDeg).toFixed(1)}° at ${formatSpeed(c.worst.rpm)}`
      : '';
    return `all in at ${c ? formatSpeed(c.fullRpm) : '…'} rpm, total ${formatTiming(r.value)}${worst}`;
  }
};

export const manifest = {
  name: 'curves',
  fields,
  flags,
  proofs,
  hazards: {},
  schools,
  slots,
  surfaces,
  figures,
  rules,
  limits: [['startMinBtdc', 'startMaxBtdc', 'initial timing that may be set']],
  trendText
} satisfies Manifest;
