import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n, turn } from '../building-blocks.ts';
import { driveEngage } from './drive-engage.ts';
import { driveGearReindex } from './drive-gear-reindex.ts';
import { driveIndex } from './drive-index.ts';
import { driveOrient } from './drive-orient.ts';
import { driveStab } from './drive-stab.ts';
import { driveWander } from './drive-wander.ts';
import * as s from './schemas.ts';

const indexCandidate = z.strictObject({
  toothStep: n,
  terminal: n,
  rotorBearingDeg: n,
  housingBearingDeg: n,
  advanceRoomDeg: n,
  retardRoomDeg: n,
  score: n
});
const orientation = z.strictObject({ toothStep: n, bearingDeg: n, offDeg: n, crankDeg: n });

export const driveCalcs = [
  define({
    name: 'drive.wander',
    title: 'How far float and backlash let the timing wander',
    formula: 'lead = πd/tan ψ, ψ from the gear’s axis; from float 360·f/lead/ratio, from backlash 360·j/(πd)/ratio',
    source: 'Geometry of a helical gear',
    errors: [],
    input: s.wanderInput,
    output: z.strictObject({ leadMm: n, fromFloatCrankDeg: n, fromBacklashCrankDeg: n, totalCrankDeg: n }),
    example: {
      in: { helixAngleDeg: 38, pitchDiameterMm: 22, endFloatMm: 0, backlashMm: 0, ratio: 0.5 },
      out: { leadMm: 88.46322, fromFloatCrankDeg: 0, fromBacklashCrankDeg: 0, totalCrankDeg: 0 }
    },
    calculate: driveWander
  }),
  define({
    name: 'drive.gearReindex',
    title: 'What turning the gear on its shaft does',
    formula:
      'pitch = 360/teeth; shift = rotation less whole pitches, in (−pitch/2, pitch/2], a tie plus; crank = shift/ratio',
    source: 'Arithmetic of tooth pitches',
    errors: [],
    input: s.gearReindexInput,
    output: z.strictObject({ pitchDeg: n, rotorShiftDeg: n, crankDeg: n }),
    example: { in: { teeth: 12, rotateDeg: 90, ratio: 1 }, out: { pitchDeg: 30, rotorShiftDeg: 0, crankDeg: 0 } },
    calculate: driveGearReindex
  }),
  define({
    name: 'drive.index',
    title: 'Which tooth, and which terminal for number one',
    formula:
      'rotor carried to the target plus k·360/N for every tooth, less the terminal’s offset for every terminal; feasible inside the free arc; room in crank degrees, score the lesser of both',
    source: 'Geometry of gear and cap; enumeration',
    errors: ['arc-empty'],
    input: s.driveIndexInput,
    output: z.strictObject({
      best: indexCandidate.nullable(),
      candidates: z.array(indexCandidate),
      feasibleCount: n,
      nearest: z
        .strictObject({ toothStep: n, terminal: n, rotorBearingDeg: n, housingBearingDeg: n, outsideDeg: n })
        .nullable()
    }),
    example: {
      in: {
        rotorDirection: 'cw',
        ratio: 0.5,
        gearTeeth: 10,
        observed: { rotorBearingDeg: 64, crankDeg: 350 },
        targetCrankDeg: -7,
        terminals: { count: 4, firstOffsetDeg: 0, anyAsNumberOne: false },
        housing: { minBearingDeg: 181, maxBearingDeg: 190, preferredBearingDeg: 185 }
      },
      out: {
        best: null,
        candidates: [],
        feasibleCount: 0,
        nearest: { toothStep: -2, terminal: 0, rotorBearingDeg: 173.5, housingBearingDeg: 173.5, outsideDeg: 7.5 }
      }
    },
    calculate: driveIndex
  }),
  define({
    name: 'drive.stab',
    title: 'Where to point the rotor before letting it down',
    formula:
      'twist as seen, or 360·travel·tan ψ/(πd); a right-hand gear turns clockwise going down, a left-hand one anticlockwise; start = target less the twist',
    source: 'Geometry of a helical gear',
    errors: [],
    input: s.driveStabInput,
    output: z.strictObject({ twistDeg: n, startBearingDeg: n, dropTurns: turn }),
    example: {
      in: { gearHand: 'right', targetBearingDeg: 140, twistDeg: 27 },
      out: { twistDeg: 27, startBearingDeg: 113, dropTurns: 'cw' }
    },
    calculate: driveStab
  }),
  define({
    name: 'drive.engage',
    title: 'Until the oil-pump drive falls in',
    formula:
      'turn = s·(slot − tang) mod symmetry; aligned within 0.5° of it; crank to drop turn/ratio; else the slot by the smaller way',
    source: 'Geometry of tang and slot; the half degree of capture is our own assumption',
    errors: [],
    input: s.driveEngageInput,
    output: z.strictObject({
      aligned: z.boolean(),
      crankToDropDeg: n,
      crankToTargetDeg: n,
      totalCrankDeg: n,
      slotTurnDeg: n,
      slotTurn: z.enum(['cw', 'ccw', 'none'])
    }),
    example: {
      in: {
        rotorDirection: 'ccw',
        ratio: 0.5,
        cycleDeg: 720,
        currentCrankDeg: 710,
        targetCrankDeg: 8,
        tangBearingDeg: 3,
        slotBearingDeg: 41,
        symmetryDeg: 60
      },
      out: {
        aligned: false,
        crankToDropDeg: 44,
        crankToTargetDeg: 694,
        totalCrankDeg: 738,
        slotTurnDeg: 22,
        slotTurn: 'cw'
      }
    },
    calculate: driveEngage
  }),
  define({
    name: 'drive.orient',
    title: 'Which tooth, by the slot of a drive shaft',
    formula:
      'bearing k = observed + s·ratio·(target − crank) + k·360/N; off = distance to the wanted bearing modulo the symmetry; ordered by |off|, a tie to more room to advance',
    source: 'Geometry of drive.index with one direction in place of an arc',
    errors: [],
    input: s.driveOrientInput,
    output: z.strictObject({
      best: orientation,
      rival: orientation.nullable(),
      betterByDeg: n,
      tie: z.boolean(),
      choices: z.array(orientation)
    }),
    example: {
      in: {
        rotorDirection: 'cw',
        ratio: 0.5,
        gearTeeth: 1,
        observed: { bearingDeg: 350, crankDeg: 0 },
        targetCrankDeg: 30,
        wantedBearingDeg: 20,
        symmetryDeg: 60
      },
      out: { best: { toothStep: 0, bearingDeg: 5, offDeg: -15, crankDeg: 30 }, rival: null, betterByDeg: 0, tie: false }
    },
    calculate: driveOrient
  })
];
