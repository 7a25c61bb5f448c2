import { BY_DISTRIBUTOR, curves, engine, sheet, step, timing } from './authoring.ts';

const LOOK = 'Look and feel';
const RUN = 'Run it on the bench';

const VERDICTS = [
  { id: 'use', label: 'stays' },
  { id: 'remark', label: 'stays, with a remark' },
  { id: 'replace', label: 'is replaced' }
];
const partChoices = [
  ['bush', 'Bush and shaft'],
  ['plate', 'Plate'],
  ['cap', 'Cap'],
  ['rotor', 'Rotor'],
  ['leads', 'Leads']
].map(([id, question]) => ({ id: `part-${id}`, question: question!, options: VERDICTS }));

/** A distributor on a test bench or turned by hand: weights, spacing of the sparks, curve, vacuum. */
export const benchCheck = sheet({
  id: 'bench-check',
  title: 'Check a distributor on the bench',
  short: 'distributor on the bench',
  fits: [BY_DISTRIBUTOR],
  begins: ['battery-isolated', 'distributor-out'],
  place: 'bench',
  panel: 'curves',
  steps: [
    engine.intake({ id: 'intake', phase: LOOK, values: ['firingOrder', 'ratio', 'advanceBand'] }),
    curves.weightsFree({ id: 'free', phase: LOOK }),
    timing.setGap({ id: 'gap', phase: LOOK }),
    curves.lobesRead({ id: 'lobes', phase: RUN }),
    curves.benchSweep({
      id: 'sweep',
      phase: RUN,
      choices: [
        {
          id: 'sweep-scale',
          question: 'Speeds and degrees are those of the',
          options: [
            { id: 'bench', label: 'distributor: doubled once for the crank' },
            { id: 'engine', label: 'engine' }
          ]
        }
      ]
    }),
    curves.vacuumChecked({ id: 'vacuum', phase: RUN, clears: [] }),
    step({
      id: 'parts',
      phase: RUN,
      title: 'Parts decided, one by one',
      say: 'For each part say whether it stays, stays with a remark, or is replaced; write the remark.',
      why: 'What is decided now with the part in hand is not decided later by rumour.',
      accept: 'Every part has a word, every remark its reason.',
      ifSkipped: 'A worn bush goes back in, and the timing scatters.',
      tools: ['lens', 'lamp'],
      minutes: 8,
      choices: partChoices,
      schools: ['rebuild']
    }),
    engine.closeLog({ id: 'close', phase: RUN })
  ]
});
