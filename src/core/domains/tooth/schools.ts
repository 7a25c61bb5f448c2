import type { SchoolWords } from '../../job/run-sheet.ts';

/** Where good technicians differ: the ways, with what speaks for and against each. */
export const schools = {
  'index-order': {
    title: 'What is set first',
    options: [
      {
        id: 'engine-first',
        name: 'the engine to the reference, then the drive on its tooth',
        gives: 'Rotor and housing finish in the place that was planned.',
        costs: 'Lifting again when the oil-pump drive does not line up.',
        preferWhen: 'Vacuum capsule, harness or short leads demand a place.'
      },
      {
        id: 'seat-first',
        name: 'seat it anywhere, then bring the crank and turn the housing',
        gives: 'No fight with the oil-pump drive.',
        costs: 'Where the housing ends is luck; it may meet an obstacle.',
        preferWhen: 'Free harness, no vacuum capsule, room all round.'
      },
      {
        id: 'marks',
        name: 'match the witness marks',
        gives: 'Fastest.',
        costs: 'No proof, and worth nothing once the crank was moved.',
        preferWhen: 'The same distributor goes back.'
      }
    ]
  },
  prime: {
    title: 'How the oil is primed',
    options: [
      {
        id: 'bore',
        name: 'through the distributor\u2019s bore, unit out',
        gives: 'The pump itself is proved, and the crank stays where it is.',
        costs: 'The slot of the pump has moved: it is set anew before the fit.',
        preferWhen: 'The pump is driven through this bore.'
      },
      {
        id: 'starter',
        name: 'by the starter, plugs out',
        gives: 'No priming tool.',
        costs: 'The crank leaves the reference; only once the fit is proved.',
        preferWhen: 'The pump is driven by the crank.'
      },
      {
        id: 'gallery',
        name: 'by pressure through a gallery',
        gives: 'At any time before the start.',
        costs: 'The pump itself is not proved: watch the pressure at the first start.',
        preferWhen: 'A port in the gallery can be reached.'
      }
    ]
  },
  'oil-drive': {
    title: 'When the oil-pump drive does not line up',
    options: [
      {
        id: 'tool',
        name: 'turn the pump with the priming tool',
        gives: 'The tool has the tang\u2019s shape, primes the oil as well, and the crank stays where it is.',
        costs: 'The tool must be at hand.',
        preferWhen: 'Blade and hexagon drives.'
      },
      {
        id: 'blade',
        name: 'turn the pump with a long blade',
        gives: 'Cheap; the crank stays where it is.',
        costs: 'Trial and error; the blade may slip or chip.',
        preferWhen: 'A straight slot in plain sight.'
      },
      {
        id: 'crank',
        name: 'press lightly and turn the crank until it drops',
        gives: 'Certain, nothing to see down the bore.',
        costs: 'The reference is lost and must be found again.',
        preferWhen: 'Turning the pump has failed twice.'
      }
    ]
  },
  'shaft-in-place': {
    title: 'What to do about the shaft',
    options: [
      {
        id: 'live',
        name: 'live with it: move the leads or turn the cap',
        gives: 'No risk at all.',
        costs: 'An odd layout, and a vacuum capsule or leads that may not reach.',
        preferWhen: 'There is room both ways with another tower as number one.'
      },
      {
        id: 'split',
        name: 'open the case',
        gives: 'The shaft is set where it can be seen.',
        costs: 'A long job.',
        preferWhen: 'Any ring is uncertain, the flange is aged, or there are other reasons to open.'
      },
      {
        id: 'in-place',
        name: 'correct it with the case closed',
        gives: 'Saves a strip.',
        costs: 'A ring that jams ruins the crank gear and forces the split all the same.',
        preferWhen: 'Proved fault, rings known, the right puller, and patience.'
      }
    ]
  },
  'helix-entry': {
    title: 'Where the rotor points when it goes in',
    options: [
      {
        id: 'led',
        name: 'led back by the swing that was logged',
        gives: 'Right the first time.',
        costs: 'The swing must be known.',
        preferWhen: 'The same gear goes back, or its helix is known.'
      },
      {
        id: 'trial',
        name: 'by estimate, tooth by tooth',
        gives: 'No data are needed.',
        costs: 'Several lifts.',
        preferWhen: 'A gear of which nothing is known.'
      }
    ]
  }
} satisfies Record<string, SchoolWords>;
