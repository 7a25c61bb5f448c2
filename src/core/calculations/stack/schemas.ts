import { z } from 'zod';
import { finite, gauge, limits, notNegative, positive } from '../building-blocks.ts';

export const endFloatInput = z.strictObject({
  washerMm: z.array(positive).min(1),
  washerGauge: gauge,
  gaps: z.array(z.array(positive).min(1)).min(1),
  bladeGauge: gauge,
  pack: z
    .enum(['nearest', 'largest'])
    .default('nearest')
    .describe('how a pack was found: the one that fits best, or the thickest that enters'),
  spec: limits
});

/** About a second of work: who asks over the network must not hold up everybody else. */
const MOST_PICKS = 1_000_000;

/** How many picks of up to so many pieces a tray of so many sizes has: a size may be taken more than once. */
function picksOf(sizes: number, pieces: number): number {
  let all = 1;
  for (let k = 1; k <= pieces; k++) all *= (sizes + k) / k;
  return all;
}

export const pickInput = z
  .strictObject({
    currentMm: finite,
    uMm: notNegative,
    spec: z
      .strictObject({ minMm: finite.nullable(), maxMm: finite.nullable(), targetMm: finite.optional() })
      .refine(
        (s) => s.minMm === null || s.maxMm === null || s.minMm <= s.maxMm,
        'the least must not be above the most'
      ),
    sense: z.union([z.literal(1), z.literal(-1)]),
    tray: z.array(
      z.strictObject({ id: z.string().min(1), thicknessMm: positive, uMm: notNegative, count: z.number().int().min(0) })
    ),
    maxPieces: z.number().int().min(0).max(5).default(3)
  })
  .refine((i) => new Set(i.tray.map((t) => t.id)).size === i.tray.length, {
    path: ['tray'],
    message: 'holds an id twice'
  })
  .refine((i) => picksOf(i.tray.length, i.maxPieces) <= MOST_PICKS, {
    path: ['tray'],
    message: `has too many sizes to try them all with so many pieces: at most ${MOST_PICKS.toLocaleString('en-GB')} picks`
  })
  .refine((i) => i.spec.targetMm !== undefined || (i.spec.minMm !== null && i.spec.maxMm !== null), {
    path: ['spec', 'targetMm'],
    message: 'with one limit open a target is needed'
  });

export const engagementInput = z.strictObject({
  lengthMm: positive,
  depthToDriveMm: positive,
  featureOffsetMm: finite,
  gasketMm: notNegative,
  slotDepthMm: positive.optional(),
  minEngagementMm: finite.nullable().describe('null: no limit is known, and nothing is judged'),
  minClearanceMm: finite.optional(),
  uMm: z.strictObject({ length: notNegative, depth: notNegative, offset: notNegative, gasket: notNegative }),
  scatterUnknown: z.boolean().optional().describe('how the hand scatters is not known for one of the lengths')
});

export const metals = ['steel', 'cast-iron', 'aluminium', 'bronze', 'magnesium'] as const;

export const thermalInput = z.strictObject({
  lengthMm: positive,
  housing: z.enum(metals),
  shaft: z.enum(metals),
  coldC: finite,
  hotC: finite,
  coldFloatMm: finite,
  arrangement: z.enum(['shaft-in-housing', 'housing-between-collars'])
});

export const moveInput = z.strictObject({
  deeperMm: finite,
  engagementMm: finite,
  clearanceMm: finite,
  contactFraction: finite.describe('centre of the contact as a share of the face, from its lower end'),
  faceWidthMm: positive,
  leadMm: positive.optional()
});
