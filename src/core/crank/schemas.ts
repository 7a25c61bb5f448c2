import { z } from 'zod';
import { cycle, finite, gauge, notNegative, positive, slider, turn, view, wholeFromOne } from '../schemas.ts';

export const pistonAtInput = z.strictObject({ ...slider, crankDeg: finite });
export const pistonAngleInput = z.strictObject({ ...slider, dropMm: finite });

export const tdcDwellInput = z.strictObject({
  ...slider,
  dial: gauge,
  wheel: gauge,
  targetUDeg: positive.default(0.15).describe('standard uncertainty aimed at, degrees')
});

export const tdcPairsInput = z
  .strictObject({
    pairs: z.array(z.strictObject({ beforeWheelDeg: finite, afterWheelDeg: finite, dropMm: finite.optional() })).min(1),
    strokeMm: positive.optional(),
    rodMm: positive.optional(),
    pinOffsetMm: finite.optional(),
    wheel: gauge,
    dial: gauge.optional()
  })
  .refine((i) => (i.strokeMm === undefined) === (i.rodMm === undefined), {
    path: ['rodMm'],
    message: 'stroke and rod come together or not at all'
  });

export const tdcFitInput = z.strictObject({
  readings: z.array(z.strictObject({ wheelDeg: finite, dialMm: finite })).max(5000),
  ...slider,
  dialSense: z
    .union([z.literal(1), z.literal(-1)])
    .default(1)
    .describe('1: the dial falls as the piston goes down'),
  wheel: gauge,
  dial: gauge
});

export const markCheckInput = z.strictObject({
  markBtdc: finite,
  uDeg: notNegative,
  previous: z.strictObject({ errorDeg: finite, uDeg: notNegative }).optional()
});

export const wheelTicksInput = z
  .strictObject({ diameterMm: positive, fromDeg: finite, toDeg: finite, stepDeg: positive })
  .refine((i) => i.toDeg >= i.fromDeg, { path: ['toDeg'], message: 'must not be below fromDeg' })
  .refine((i) => Math.floor((i.toDeg - i.fromDeg) / i.stepDeg + 1e-9) + 1 <= 5000, {
    path: ['stepDeg'],
    message: 'would make more than 5000 ticks'
  });

export const wheelMeasureInput = z
  .strictObject({ diameterMm: positive, arcMm: finite.optional(), chordMm: finite.optional() })
  .refine((i) => (i.arcMm === undefined) !== (i.chordMm === undefined), {
    path: ['arcMm'],
    message: 'give the arc or the chord, one of the two'
  })
  .refine((i) => i.chordMm === undefined || Math.abs(i.chordMm) <= i.diameterMm + 1e-9, {
    path: ['chordMm'],
    message: 'a chord cannot be longer than the diameter'
  });

export const crankPlanInput = z.strictObject({
  cycleDeg: cycle,
  currentDeg: finite,
  targetDeg: finite,
  strokeKnown: z.boolean(),
  approach: z.enum(['forward', 'backUp']),
  backlashDeg: notNegative,
  lastMove: z.enum(['forward', 'backward', 'unknown']),
  runningDirection: turn.describe('of the crank, seen from the front'),
  view,
  ringGearTeeth: wholeFromOne.optional()
});

export const valveEvents = z.strictObject({ ivoBtdc: finite, ivcAbdc: finite, evoBbdc: finite, evcAtdc: finite });

export const cycleStateInput = z
  .strictObject({
    cycleDeg: cycle,
    firingOrder: z.array(wholeFromOne).min(1),
    offsetsDeg: z.array(finite).optional(),
    crankDeg: finite,
    valves: valveEvents.optional()
  })
  .superRefine((i, ctx) => {
    if (i.firingOrder[0] !== 1)
      ctx.addIssue({ code: 'custom', path: ['firingOrder'], message: 'begins with cylinder 1' });
    if (new Set(i.firingOrder).size !== i.firingOrder.length)
      ctx.addIssue({ code: 'custom', path: ['firingOrder'], message: 'names a cylinder twice' });
    if (i.offsetsDeg && i.offsetsDeg.length !== i.firingOrder.length)
      ctx.addIssue({ code: 'custom', path: ['offsetsDeg'], message: 'needs one offset for each cylinder' });
    if (i.offsetsDeg && i.offsetsDeg[0] !== 0)
      ctx.addIssue({ code: 'custom', path: ['offsetsDeg'], message: 'the first offset is 0' });
  });

export const signKinds = [
  'airPushedOut',
  'intakeJustClosed',
  'bothValvesClosed',
  'companionRocking',
  'rotorAtNumberOne',
  'gaugePressure',
  'camMarksAgree'
] as const;

export const cycleEvidenceInput = z
  .strictObject({
    evidence: z.array(z.strictObject({ kind: z.enum(signKinds), seen: z.boolean() })),
    prior: z.number().gt(0).lt(1).default(0.5)
  })
  .refine((i) => new Set(i.evidence.map((e) => e.kind)).size === i.evidence.length, {
    path: ['evidence'],
    message: 'holds a sign twice: the same sign felt again is no new evidence'
  });
