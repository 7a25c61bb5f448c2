import type { Step } from '../../job/run-sheet.ts';
import { slots as distributor } from '../distributor/slots.ts';
import { slots } from './slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

/** Steps of measuring the drive: its float, its packing, its depth, the contact on its teeth. */
export const measureWasher = (u: Use): Step =>
  step(
    {
      title: 'Gauge washer measured',
      say: 'Zero the micrometer and read the washer in several places.',
      why: 'It is the length that everything after it is measured against.',
      accept: 'The places agree closely against the float\u2019s limits.',
      ifSkipped: 'An unknown washer spoils every later figure.',
      tools: ['micrometer'],
      minutes: 3,
      slots: [slots.washer],
      surface: 'stack'
    },
    u
  );

export const washerIn = (u: Use): Step =>
  step(
    {
      title: 'Shaft in on the washer, pump engaged',
      say: 'Lay the washer on its thrust face, lower the shaft, turn the crank until the tang drops into the pump.',
      why: 'A gap means something only with the shaft right down.',
      accept: 'Shaft at the bottom; where the crank stands does not matter here.',
      ifSkipped: 'The gap is that of a shaft hanging on its tang.',
      tools: ['bar', 'lamp'],
      minutes: 6,
      helper: 'advised',
      hazards: ['barring-tool', 'pinch'],
      sets: ['gauge-washer-in', 'oil-drive-engaged'],
      needs: ['barring-tool-fitted', 'openings-covered'],
      acts: ['turns-uncounted', 'turns-crank']
    },
    u
  );

export const measureGap = (u: Use): Step =>
  step(
    {
      title: 'Gap measured all round',
      say: 'Seat the pedestal without packing, nip it evenly, feel the gap in several places with the fewest blades.',
      why: 'Only several places show a tilt, and every blade of a stack adds its own doubt.',
      accept: 'Places agree; tilt noted.',
      ifSkipped: 'The packing is chosen for one corner.',
      tools: ['blades', 'spanner'],
      minutes: 6,
      needs: ['gauge-washer-in'],
      slots: [slots.gap],
      choices: [
        {
          id: 'blade-pack',
          question: 'The blades of a place are',
          options: [
            { id: 'nearest', label: 'the pack that fits best' },
            { id: 'largest', label: 'the thickest that enters' }
          ]
        }
      ],
      values: ['floatMinMm', 'floatMaxMm'],
      surface: 'stack'
    },
    u
  );

export const choosePacking = (u: Use): Step =>
  step(
    {
      title: 'Packing chosen',
      say: 'Take the packing that brings the float into its limits.',
      why: 'Float = washer less gap, plus the packing under the pedestal.',
      accept: 'Inside the limits with its uncertainty.',
      ifSkipped: 'Gear tight or loose: noise, wear, timing that wanders.',
      minutes: 3,
      sets: ['packing-chosen'],
      values: ['floatMinMm', 'floatMaxMm'],
      schools: ['float-target'],
      takes: ['packing'],
      surface: 'stack'
    },
    u
  );

export const measurePacking = (u: Use): Step =>
  step(
    {
      title: 'Packing measured as fitted',
      say: 'Lay the pieces together, clamp them lightly, measure what they come to.',
      why: 'Nominal sheets differ from real ones.',
      accept: 'The float stays inside its limits.',
      ifSkipped: 'The sum drifts past the limit by rounding.',
      tools: ['micrometer'],
      minutes: 4,
      slots: [slots.packing],
      surface: 'stack'
    },
    u
  );

export const washerOut = (u: Use): Step =>
  step(
    {
      title: 'Gauge washer out',
      say: 'Lift pedestal and shaft, take the washer out, lay it on the log sheet.',
      why: 'It is a measuring piece, never a part.',
      accept: 'The washer is seen outside the engine.',
      ifSkipped: 'The gear is jammed hard; shaft or pedestal breaks.',
      minutes: 2,
      hazards: ['dropped-part'],
      clears: ['gauge-washer-in', 'oil-drive-engaged'],
      needs: ['gauge-washer-in']
    },
    u
  );

export const measureDepth = (u: Use): Step =>
  step(
    {
      title: 'Depth of the oil-pump drive',
      say: 'Measure the drive from its seat to its end, down to the pump\u2019s drive, and where the tang begins.',
      why: 'Too short strips, too long bottoms and pushes the pump down.',
      accept: 'Enough engaged and something left below it, both with their uncertainty.',
      ifSkipped: 'The pump stops driving under load, or the drive clamps down on it.',
      tools: ['depth gauge', 'caliper'],
      minutes: 12,
      sets: ['engagement-ok'],
      slots: [
        slots.length,
        slots['drive-depth'],
        slots.offset,
        { ...distributor.gasket, label: 'gasket, compressed', gauge: 'micrometer' }
      ],
      values: ['minEngagementMm'],
      surface: 'stack'
    },
    u
  );

export const proveFloat = (u: Use): Step =>
  step(
    {
      title: 'Float proved on the finished drive',
      say: 'Dial on the shaft\u2019s end or the gear; push and pull.',
      why: 'A direct reading catches a mistake in the sums.',
      accept: 'Inside the limits, and equal to the sum within its uncertainty.',
      ifSkipped: 'A mistake lives on.',
      tools: ['dial indicator'],
      slots: [slots['float-dial']],
      sets: ['float-verified'],
      surface: 'stack'
    },
    u
  );

export const readContact = (u: Use): Step =>
  step(
    {
      title: 'Contact pattern read',
      say: 'Coat the gear thinly, fit it, drag the shaft lightly, two turns forward by hand, lift and read where the compound is wiped.',
      why: 'The eye cannot see depth in the bore; the teeth show it.',
      accept: 'Near the middle of the loaded flank, off both edges.',
      ifSkipped: 'Contact on an edge wears out quickly.',
      tools: ['marking compound', 'bar', 'caliper'],
      minutes: 12,
      helper: 'advised',
      hazards: ['barring-tool', 'pinch'],
      needs: ['battery-isolated'],
      slots: [slots['patch-low'], slots['patch-high']],
      values: ['gearFaceMm'],
      surface: 'patch'
    },
    u
  );
