import { weightsMove } from '../domains/received/asked.ts';
import { BY_DISTRIBUTOR, cap, curves, engine, received, sheet, step, tooth, weightsAsked } from './authoring.ts';

const SAFE = 'Make safe';
const STANDS = 'How it stands';
const LOOK = 'Look and try';
const DECIDE = 'Decide';

/** A distributor on its engine, with what only the engine can still tell measured before it comes out. */
export const inPlaceCheck = sheet({
  id: 'in-place-check',
  title: 'Check a distributor on its engine before it comes out',
  short: 'checks before it comes out',
  fits: [BY_DISTRIBUTOR],
  panel: 'received',
  begins: ['distributor-seated', 'gear-meshed', 'oil-drive-engaged', 'clamp-snug', 'leads-fitted', 'gasket-fitted'],
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check firing order, limits of float, swing and gap, and what was complained of.',
      values: ['firingOrder', 'floatMinMm', 'floatMaxMm']
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    received.received({
      id: 'received',
      phase: STANDS,
      photos: ['leads as they run', 'hose and clamp', 'housing and block'],
      say: 'Photograph leads, hose, clamp and witness marks before a hand touches them; write as remarks what is loose, broken, missing or oily.'
    }),
    cap.mapLeads({ id: 'map', phase: STANDS }),
    tooth.witnessMarks({ id: 'marks', phase: STANDS, needs: [] }),
    received.swingAndFloat({ id: 'swing', phase: STANDS }),
    received.secondarySeen({ id: 'secondary', phase: LOOK, needs: ['battery-isolated'] }),
    curves.weightsFree({
      id: 'advance',
      phase: LOOK,
      say: 'Turn the rotor in its running direction against the springs and let go; see both weights, both springs, full travel.',
      onlyIf: weightsAsked,
      choices: [weightsMove]
    }),
    received.capsuleTried({ id: 'capsule', phase: LOOK }),
    received.plateTried({ id: 'plate', phase: LOOK }),
    step({
      id: 'restore',
      phase: DECIDE,
      title: 'Cap back on, as it was',
      say: 'Seat the cap in its notch, every lead in the tower that it was mapped to, the hose on its capsule.',
      why: 'What follows may wait for parts, and an open distributor collects what falls into it.',
      surface: 'lead-map',
      accept: 'Cap seated, every lead as mapped.',
      ifSkipped: 'A lead one tower out, dirt on the trigger.',
      minutes: 4,
      needs: ['leads-mapped'],
      clears: ['cap-off'],
      hazards: ['hv-ignition']
    }),
    received.partsDecided({ id: 'decide', phase: DECIDE }),
    engine.closeLog({ id: 'close', phase: DECIDE })
  ]
});
