import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  trigger: {
    title: 'How the firing point is seen',
    options: [
      {
        id: 'lamp',
        name: 'contacts just opening, by lamp or meter',
        gives: 'Sharp and cheap, hardly any power.',
        costs: 'Contacts clean and their gap set; slack must lie on the running side.',
        preferWhen: 'Contact sets.'
      },
      {
        id: 'edge',
        name: 'trigger tooth to its pole, by eye',
        gives: 'No power at all.',
        costs: 'Which edge fires depends on polarity: from the wiring data, never by likeness.',
        preferWhen: 'Induction pickups with a known edge.'
      },
      {
        id: 'spark',
        name: 'spark seen by the strobe, engine at rest',
        gives: 'The whole chain as it is.',
        costs: 'High voltage, and each flash may trigger injection; which side it is approached from matters.',
        preferWhen: 'A module whose edge is not known.'
      },
      {
        id: 'vane',
        name: 'sensor output, by meter',
        gives: 'Clean, repeats well.',
        costs: 'A supply and some skill with the meter; entering and leaving edge are easily confused.',
        preferWhen: 'Vane sensors.'
      },
      {
        id: 'tip',
        name: 'rotor tip to its terminal, by eye',
        gives: 'Quick.',
        costs: 'Several degrees of doubt: the tip does not say when the trigger fires.',
        preferWhen: 'A first setting, choosing the tooth.'
      }
    ]
  },
  bias: {
    title: 'A bias for the first start',
    options: [
      {
        id: 'none',
        name: 'the exact setting',
        gives: 'No hidden offset.',
        costs: 'The method\u2019s own error falls either way.',
        preferWhen: 'The method repeats well.'
      },
      {
        id: 'advance',
        name: 'a little early',
        gives: 'Less backfire after a method that reads late; helps a fresh camshaft start.',
        costs: 'It kicks if it is too much.',
        preferWhen: 'Run-in right after the start, the strobe soon.'
      },
      {
        id: 'retard',
        name: 'a little late',
        gives: 'Gentle on the starter or the hand.',
        costs: 'Heat, backfire, a glowing exhaust.',
        preferWhen: 'High compression, starting by hand.'
      }
    ]
  },
  'reference-angle': {
    title: 'Where the crank stands when the housing is set',
    options: [
      {
        id: 'initial',
        name: 'at the initial setting',
        gives: 'No further turn is needed: what is set at rest is the setting.',
        costs: 'A mark before TDC that can be read.',
        preferWhen: 'A distributor whose advance works.'
      },
      {
        id: 'total',
        name: 'at the total figure',
        gives: 'Direct where the advance is locked.',
        costs: 'With weights free the running total becomes the setting and their advance on top.',
        preferWhen: 'Only with the advance proved locked.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
