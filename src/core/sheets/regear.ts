import { slots as engineSlots } from '../domains/engine/slots.ts';
import { allBack } from '../domains/walk/slots.ts';
import { slots as distributorSlots } from '../domains/distributor/slots.ts';
import { slots as gearSlots } from '../domains/gears/slots.ts';
import { slots as stackSlots } from '../domains/stack/slots.ts';
import { wearAsked } from '../domains/received/asked.ts';
import { BY_DISTRIBUTOR, engine, gears, received, sheet, stack, step } from './authoring.ts';

const SAFE = 'Make safe';
const CHECK = 'Check the gear';
const FIT = 'Fit the gear';
const TRY = 'Try it in the engine';
const CLOSE = 'Close';

/** How it is tried whether the drive stands on the pump: float loose, and with the clamp tight. */
const bottoming = {
  accept: 'No float is lost by clamping.',
  tools: ['dial indicator', 'blades'],
  minutes: 6,
  hazards: ['pinch'],
  needs: ['gear-pinned', 'openings-covered'],
  sets: ['bottoming-ok'],
  slots: [stackSlots['float-loose'], stackSlots['float-tight']],
  surface: 'stack'
} satisfies Partial<Parameters<typeof step>[0]>;

/** A drive gear replaced: the right gear, at the right height, on the right index, deep enough and not too deep. */
export const regear = sheet({
  id: 'regear',
  title: 'Replace the drive gear',
  short: 'drive gear: dimension, contact, depth',
  fits: [BY_DISTRIBUTOR, { field: 'driveKind', is: ['own-gear'], otherwise: 'its drive is: $' }],
  begins: ['distributor-out'],
  panel: 'stack',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check installed dimension, float, engagement, and what the camshaft\u2019s gear is made of.',
      values: ['gearTeeth', 'ratio', 'floatMinMm', 'floatMaxMm', 'minEngagementMm']
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    engine.coverOpenings({ id: 'cover', phase: SAFE }),
    received.indexLogged({ id: 'index', phase: CHECK }),
    received.patternRead({
      id: 'wear',
      phase: CHECK,
      title: 'Wear of the old teeth recorded',
      say: 'Before it is cleaned away: look at the loaded flank of the gear and of its partner, and say where it wore and how.',
      accept: 'Central, polished, no step; a rough, hollow or edge-worn pair means looking at the camshaft too.',
      ifSkipped: 'A bad partner ruins the new gear.',
      tools: ['lens', 'lamp', 'camera'],
      choices: [
        ...wearAsked,
        {
          id: 'wear-partner',
          question: 'The partner on the camshaft is',
          options: [
            { id: 'sound', label: 'sound' },
            { id: 'worn', label: 'worn' },
            { id: 'unseen', label: 'not seen' }
          ]
        }
      ]
    }),
    gears.compareGears({ id: 'compare', phase: CHECK }),
    step({
      id: 'pin-out',
      phase: FIT,
      title: 'Pin out, gear off',
      say: 'Bed the gear on a firm cradle, drive the pin with the right punch, pull the gear.',
      why: 'The shaft must not bend and the pin must not spread.',
      handles: {
        'distributor.pin': 'driven out',
        'distributor.gear': 'on a cradle, pulled',
        'distributor.shaft': 'must not bend'
      },
      accept: 'Pin out, shaft straight.',
      ifSkipped: 'A bent shaft, a burred bore.',
      tools: ['cradle', 'pin punch', 'puller'],
      minutes: 10,
      hazards: ['flying', 'eyes'],
      needs: ['gear-index-logged'],
      sets: ['gear-off']
    }),
    gears.trialFit({ id: 'trial', phase: FIT, needs: ['gear-off'] }),
    step({
      id: 'dimension',
      phase: FIT,
      title: 'Installed dimension set',
      say: 'With the shaft on its running side, measure from the mounting face to the lower gear face.',
      why: 'Depth decides where on the tooth the contact lies.',
      accept: 'Inside its limits.',
      ifSkipped: 'Contact at the edge of the tooth.',
      tools: ['height gauge'],
      minutes: 6,
      needs: ['gear-material-ok'],
      slots: [gearSlots.dimension],
      surface: 'judged'
    }),
    step({
      id: 'fix',
      phase: FIT,
      title: 'Dimension and float corrected',
      say: 'Try the change on the drawing first, then take the shims that bring both into their limits.',
      why: 'One is easily cured by spoiling the other.',
      accept: 'Dimension and float both inside their limits.',
      ifSkipped: 'One wrong figure traded for another.',
      tools: ['shims'],
      minutes: 25,
      hazards: ['machining'],
      needs: ['gear-off'],
      slots: [
        {
          ...distributorSlots.float,
          label: 'float at the gear, before',
          gauge: 'dial',
          repeats: true,
          carries: 'float-bench'
        }
      ],
      schools: ['gear-fix'],
      takes: ['shim'],
      surface: 'stack'
    }),
    step({
      id: 'turned',
      phase: FIT,
      title: 'Turn of the gear on its shaft worked out',
      say: 'If the gear goes on turned, or the hole is drilled anew, type by how much the shaft is turned in it, clockwise from above.',
      why: 'Whole teeth change nothing; the rest shifts the rotor against the teeth.',
      accept: 'The shift is known before the pin goes in.',
      ifSkipped: 'Room to turn the housing is lost.',
      minutes: 2,
      slots: [gearSlots['gear-turned']],
      surface: 'gears'
    }),
    step({
      id: 'pin-in',
      phase: FIT,
      title: 'Gear pinned',
      say: 'Tapered end first, gear supported, flush or as drawn; stake it only if the data sheet says so.',
      why: 'The pin is the only lock.',
      handles: { 'distributor.pin': 'tapered end first, flush', 'distributor.gear': 'supported' },
      accept: 'Flush and tight.',
      ifSkipped: 'The pin shears or walks out.',
      tools: ['punch', 'cradle'],
      minutes: 6,
      hazards: ['flying', 'eyes'],
      needs: ['gear-index-logged'],
      acts: ['pins-gear'],
      sets: ['gear-pinned'],
      clears: ['gear-off']
    }),
    stack.proveFloat({
      id: 'float',
      phase: FIT,
      title: 'Float read on the bench',
      say: 'Push and pull the gear\u2019s end, not the advance plate.',
      needs: ['gear-pinned'],
      sets: ['float-verified', 'dist-float-known']
    }),
    step({
      id: 'dry-seat',
      phase: TRY,
      title: 'On its seat without gasket and clamp',
      say: 'Let it down dry, no clamp; look all round the seat, and feel the float with pliers on the gear, not on the plate.',
      why: 'The clamp can pull down what the drive holds up.',
      handles: { 'distributor.seat': 'looked at all round', 'distributor.gear': 'float, with pliers' },
      accept: 'No gap at the seat, float as on the bench.',
      ifSkipped: 'A drive that stands on the pump is clamped onto it.',
      tools: ['lamp', 'pliers with soft jaws'],
      minutes: 4,
      hazards: ['pinch', 'dropped-part'],
      needs: ['gear-pinned', 'openings-covered'],
      choices: [
        {
          id: 'dry-gap',
          part: 'distributor.seat',
          question: 'At the seat there is',
          options: [
            { id: 'none', label: 'no gap' },
            {
              id: 'gap',
              label: 'a gap: lift it, look at tang and slot',
              holds: 'a gap is left at the seat: lift it, and never pull it down with the clamp'
            }
          ]
        }
      ]
    }),
    step({
      id: 'clamp-fit',
      phase: TRY,
      title: 'Clamp tried dry',
      say: 'Lay the clamp on the collar without its gasket: it must bear all round.',
      why: 'A clamp that bears on one side tilts the distributor and creeps.',
      handles: { 'distributor.clamp': 'bears all round' },
      accept: 'Bears all round, no rock.',
      ifSkipped: 'A tilted shaft, a timing that walks.',
      minutes: 2,
      choices: [
        {
          id: 'clamp-bears',
          part: 'distributor.clamp',
          question: 'The clamp bears',
          options: [
            { id: 'round', label: 'all round' },
            {
              id: 'side',
              label: 'on one side: dress it first',
              holds: 'the clamp bears on one side: dress it until it bears all round'
            }
          ]
        }
      ]
    }),
    step({
      id: 'bottom',
      phase: TRY,
      title: 'Does it bottom?',
      say: 'Let it down without gasket, read the float loose, then with the clamp tight.',
      why: 'The clamp can hide that the drive stands on the pump.',
      ifSkipped: 'Pump thrust face, gear and cam suffer.',
      ...bottoming
    }),
    engine.barOn({ id: 'bar', phase: TRY }),
    stack.readContact({ id: 'contact', phase: TRY, needs: ['bottoming-ok', 'battery-isolated'] }),
    step({
      id: 'adjust',
      phase: TRY,
      title: 'Height corrected',
      say: 'Raise by spacer or gasket, lower by turning the collar down, in small cuts; try each on the drawing first.',
      why: 'The contact moves by as much as the drive does, and a cut has no way back.',
      accept: 'What was tried on the drawing leaves nothing out of its limits.',
      ifSkipped: 'A new bottoming, a lost engagement.',
      tools: ['lathe'],
      minutes: 30,
      hazards: ['machining'],
      schools: ['gear-fix'],
      ways: {
        'gear-fix': {
          shims: {
            say: 'Raise by spacer or gasket, lower by taking packing out; try each on the drawing first.',
            tools: ['shims', 'micrometer'],
            minutes: 10,
            hazards: []
          },
          collar: {
            say: 'Mark the collar, turn it down in small cuts, fit it dry and measure after each; try each on the drawing first.'
          },
          hole: {
            say: 'Turn the gear on its shaft to the place that is shown, drill a new hole across, pin it; try it on the drawing first, and log the new index.',
            tools: ['drill', 'reamer', 'pin'],
            minutes: 45
          }
        }
      },
      surface: 'stack'
    }),
    stack.readContact({
      id: 'contact-after',
      phase: TRY,
      title: 'Contact read again',
      say: 'The same again after the correction: the pair is kept on the card.',
      needs: ['battery-isolated'],
      sets: ['pattern-read']
    }),
    step({
      id: 'bottom-gasket',
      phase: TRY,
      title: 'Does it bottom, on its final gasket?',
      say: 'The same again after every change of height, with the gasket that stays under it: float loose, then with the clamp tight.',
      why: 'Whatever moved the height moved the drive towards the pump, or away from it.',
      ifSkipped: 'The cure of the contact becomes a drive that stands on the pump.',
      ...bottoming
    }),
    stack.measureDepth({ id: 'depth', phase: TRY }),
    step({
      id: 'note',
      phase: CLOSE,
      title: 'What changes the height is noted',
      say: 'Note gasket, spacers, milled faces, so that later top-end work checks the depth again.',
      why: 'A later gasket undoes the work.',
      handles: {
        'distributor.seal': 'how many, how thick',
        'distributor.spacer': 'fitted or none',
        'distributor.seat': 'milled or not'
      },
      accept: 'Noted.',
      minutes: 3,
      choices: [
        {
          id: 'height-gasket',
          part: 'distributor.seal',
          question: 'Under its seat lies',
          options: [
            { id: 'none', label: 'no gasket' },
            { id: 'one', label: 'one gasket' },
            { id: 'more', label: 'more than one: say how many' }
          ]
        },
        {
          id: 'height-spacer',
          part: 'distributor.spacer',
          question: 'A spacer is',
          options: [
            { id: 'none', label: 'not fitted' },
            { id: 'fitted', label: 'fitted: say how thick' }
          ]
        },
        {
          id: 'height-faces',
          part: 'distributor.seat',
          question: 'Faces under it were',
          options: [
            { id: 'whole', label: 'never cut, as far as is known' },
            { id: 'cut', label: 'milled or turned: say by how much' }
          ]
        }
      ]
    }),
    step({
      id: 'off',
      phase: CLOSE,
      title: 'Bar off, counted',
      say: 'Take the bar off; count back the tools, and the small parts that were laid out.',
      why: 'Whatever stays on the crank is thrown.',
      accept: 'Count complete.',
      ifSkipped: 'A thrown bar.',
      minutes: 2,
      hazards: ['barring-tool'],
      slots: [engineSlots['small-parts-back'], ...allBack],
      clears: ['barring-tool-fitted']
    }),
    engine.closeLog({ id: 'close', phase: CLOSE })
  ]
});
