import { slots as ringSlots } from '../domains/rings/slots.ts';
import { slots as toothSlots } from '../domains/tooth/slots.ts';
import { BY_DISTRIBUTOR, engine, sheet, step } from './authoring.ts';

const READY = 'Lay out and measure';
const SHAFT = 'Set the shaft';
const CRANK = 'Lay crank and cam in';
const CLOSE = 'Close the case';

/** A drive shaft on thrust rings, installed while the case is open: the order decides whether it can be seen at all. */
export const openCase = sheet({
  id: 'open-case',
  title: 'Install the drive shaft, case open',
  short: 'drive shaft on thrust rings, case open',
  fits: [BY_DISTRIBUTOR, { field: 'driveKind', is: ['open-case'], otherwise: 'its drive is: $' }],
  begins: ['drive-shaft-out'],
  place: 'open-case',
  steps: [
    engine.intake({
      id: 'intake',
      phase: READY,
      say: 'Check rings, shaft height, the slot\u2019s direction and the cam\u2019s marks on the data sheet.',
      values: ['rotorDirection', 'ratio', 'gearTeeth', 'shaftHeightMinMm', 'shaftHeightMaxMm']
    }),
    step({
      id: 'stand',
      phase: READY,
      title: 'Case on its stand, nothing can start',
      say: 'Lock the stand\u2019s swivel, see its bolts; battery away from the engine, no starter on it; rods steadied, caps and shells laid out by number.',
      why: 'Hands lie inside the case for hours.',
      handles: {
        'case.stand': 'bolts seen',
        'case.swivel': 'locked',
        'case.rods': 'steadied',
        'case.shells': 'laid out by number'
      },
      accept: 'The stand does not move, nothing is wired that could turn anything.',
      ifSkipped: 'A case that swings, a rod that falls against the bores.',
      tools: ['stand', 'slings', 'trays'],
      minutes: 6,
      helper: 'advised',
      hazards: ['stand', 'lift']
    }),
    step({
      id: 'inventory',
      phase: READY,
      title: 'Shaft parts counted',
      say: 'Lay out shaft, thrust rings, spring, pin and seal; measure and count them.',
      why: 'Every ring must be accounted for before the case closes.',
      handles: { 'case.shaft': 'spring, pin, seal', 'case.rings': 'measured, counted' },
      accept: 'Count as drawn.',
      ifSkipped: 'A ring missing under the shaft, or loose in the case.',
      tools: ['micrometer', 'tray'],
      sets: ['rings-counted'],
      slots: [ringSlots['rings-drawn'], ringSlots['ring-count'], ringSlots.ring]
    }),
    step({
      id: 'stack',
      phase: READY,
      title: 'Thrust rings chosen',
      say: 'Stand the shaft on its bare seat, read its height, take the rings that bring it into its limits.',
      why: 'The rings set the height of the shaft, and with it mesh and coupling.',
      accept: 'Height inside its limits with its uncertainty; no more rings than drawn.',
      ifSkipped: 'Teeth off centre, a coupling half engaged.',
      tools: ['depth gauge'],
      minutes: 8,
      needs: ['rings-counted'],
      slots: [{ ...ringSlots['shaft-bare'], required: true, repeats: true }],
      takes: ['ring'],
      values: ['shaftHeightMinMm', 'shaftHeightMaxMm'],
      surface: 'rings'
    }),
    step({
      id: 'lower',
      phase: SHAFT,
      title: 'Rings seated, shaft lowered',
      say: 'Hold the rings with grease, lower the shaft, feel it turn without rock.',
      why: 'A ring that lies cocked is crushed.',
      handles: { 'case.rings': 'held with grease', 'case.shaft': 'turns, does not rock' },
      accept: 'Turns freely, no rock.',
      ifSkipped: 'A ring cocked under the gear.',
      minutes: 4,
      hazards: ['dropped-part'],
      needs: ['rings-counted']
    }),
    step({
      id: 'height',
      phase: SHAFT,
      title: 'Shaft height proved',
      say: 'Read the height again with the rings under the shaft.',
      why: 'It is the last look before everything lies on top of it.',
      accept: 'Inside its limits.',
      ifSkipped: 'A wrong stack is found by its noise.',
      tools: ['depth gauge'],
      minutes: 3,
      slots: [{ ...ringSlots['shaft-height'], repeats: true }],
      surface: 'rings'
    }),
    step({
      id: 'orient',
      phase: SHAFT,
      title: 'Slot pointed',
      say: 'Turn the shaft until its slot points as drawn for number one; read its bearing from above.',
      why: 'The slot fixes where the distributor ends up, and later only its outside is in view.',
      accept: 'Within half a tooth, narrow side as drawn.',
      ifSkipped: 'Half a turn or a tooth out.',
      tools: ['lamp'],
      minutes: 4,
      slots: [toothSlots['drive-slot']],
      values: ['driveSlotBearingDeg'],
      surface: 'shaft'
    }),
    step({
      id: 'hold-down',
      phase: SHAFT,
      title: 'Shaft held down',
      say: 'Fit spring and distributor, bring the rim\u2019s mark under the rotor, clamp.',
      why: 'The shaft climbs when the crank gear is laid in.',
      handles: { 'case.spring': 'on, clamped', 'case.rotor': 'rim\u2019s mark under it', 'case.shaft': 'cannot rise' },
      accept: 'The shaft cannot rise.',
      ifSkipped: 'It rides up: a damaged gear, or a tooth out.',
      minutes: 4,
      hazards: ['spring-release'],
      sets: ['shaft-held-down']
    }),
    step({
      id: 'crank-in',
      phase: CRANK,
      title: 'Crank posed and laid in',
      say: 'Number one\u2019s throw at its top, key as drawn; lower it level and watch the rotor.',
      why: 'The pose decides the tooth, and the mesh happens here.',
      handles: { 'case.throw': 'at its top', 'case.crank': 'lowered level', 'case.rotor': 'watched' },
      accept: 'Settled, rotor at its mark with number one at its top.',
      ifSkipped: 'One tooth out, closed inside the case.',
      tools: ['cloth sling'],
      minutes: 8,
      helper: 'yes',
      hazards: ['lift', 'pinch'],
      acts: ['lays-crank-in'],
      needs: ['shaft-held-down'],
      sets: ['gear-meshed'],
      clears: ['drive-shaft-out'],
      slots: [{ ...toothSlots.rotor, label: 'rotor, bearing from above' }]
    }),
    step({
      id: 'rotate',
      phase: CRANK,
      title: 'Two turns, one of the rotor',
      say: 'Turn the crank two turns and watch the rotor make one, back to its mark.',
      why: 'It proves the mesh, and that the shaft stays down.',
      handles: { 'case.crank': 'two turns', 'case.rotor': 'one turn, to its mark', 'case.shaft': 'stays down' },
      accept: 'One rotor turn in two of the crank, back to the mark.',
      ifSkipped: 'A wrong gear or a climbing shaft goes unseen.',
      minutes: 4,
      hazards: ['rotating', 'pinch'],
      acts: ['turns-crank'],
      needs: ['gear-meshed']
    }),
    step({
      id: 'cam-in',
      phase: CRANK,
      title: 'Cam meshed on its marks',
      say: 'Turn the crank to the cam\u2019s marks, lay the cam in on its pair, roll it home.',
      why: 'Only the cam decides which of the two TDCs is compression.',
      handles: { 'case.cam': 'rolled home', 'case.marks': 'meet' },
      accept: 'Marks coincide.',
      ifSkipped: 'Valves and ignition half a cycle apart.',
      minutes: 4,
      needs: ['gear-meshed'],
      sets: ['cam-timed']
    }),
    step({
      id: 'lobes',
      phase: CRANK,
      title: 'Lobes of number one read',
      say: 'Back at TDC with the rotor at number one, both lobes of number one must point away from their followers.',
      why: 'The half-cycle error can still be cured here.',
      handles: { 'case.lobes': 'away from their followers', 'case.rotor': 'at number one', 'case.throw': 'at its top' },
      accept: 'Both valves of number one would be closed.',
      ifSkipped: 'The engine does not run until the case is opened again.',
      tools: ['lamp'],
      minutes: 3,
      needs: ['cam-timed'],
      sets: ['compression-confirmed', 'crank-at-reference']
    }),
    step({
      id: 'mark',
      phase: CLOSE,
      title: 'Reference marked and photographed',
      photos: ['slot and rotor', 'the marks at the pulley'],
      say: 'Photograph slot, rotor and the marks at the pulley.',
      why: 'Later looks from outside compare with this.',
      handles: { 'case.shaft': 'its slot', 'case.rotor': 'at its mark', 'case.pulley': 'in one picture' },
      accept: 'Complete.',
      ifSkipped: 'No evidence once it is closed.',
      minutes: 3,
      needs: ['compression-confirmed'],
      sets: ['drive-oriented']
    }),
    step({
      id: 'close-case',
      phase: CLOSE,
      title: 'Case closed, rotor seen again',
      say: 'Sealant, torque in order, two turns by hand, rotor and reference once more.',
      why: 'Closing can disturb the pose.',
      handles: {
        'case.joint': 'sealant, torque in order',
        'case.crank': 'two turns by hand',
        'case.rotor': 'unchanged'
      },
      accept: 'Unchanged, turns freely.',
      ifSkipped: 'The error is found when everything is on.',
      tools: ['torque wrench'],
      minutes: 30,
      helper: 'yes',
      hazards: ['lift', 'overtorque'],
      acts: ['closes-case'],
      needs: ['drive-oriented', 'compression-confirmed', 'rings-counted']
    }),
    engine.closeLog({ id: 'close', phase: CLOSE })
  ]
});
