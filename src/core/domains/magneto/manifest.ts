import type { Engine } from '../../engine/engine.ts';
import type { Manifest } from '../../job/manifest.ts';
import { fields } from './fields.ts';
import { figures } from './figures.ts';
import { flags } from './flags.ts';
import { proofs } from './proofs.ts';
import { rules } from './rules.ts';
import { schools } from './schools.ts';
import { slots } from './slots.ts';
import { numberOf, surfaces } from './vocabulary.ts';

export const manifest = {
  name: 'magneto',
  fields,
  flags,
  proofs,
  hazards: {},
  schools,
  slots,
  surfaces,
  figures,
  rules,
  limits: [
    ['snapMinBtdc', 'snapMaxBtdc', 'snap'],
    ['runMinBtdc', 'runMaxBtdc', 'running spark']
  ],
  conflicts
} satisfies Manifest;

/** A coupling holds the magneto back by less than half a turn: more is another lobe, or a slip of the pen. */
function conflicts(e: Engine): { names: string[]; message: string }[] {
  const lag = numberOf(e, 'lagDeg');
  return lag !== undefined && lag >= 180
    ? [
        {
          names: ['lagDeg'],
          message: `A lag of ${lag}° is half a turn of the magneto or more: look at the figure again.`
        }
      ]
    : [];
}
