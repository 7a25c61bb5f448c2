import { z } from 'zod';
import { cycle, finite, wholeFromOne } from '../building-blocks.ts';

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
  'camMarksAgree',
  'pinInCamGear'
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
