import { slots as engineSlots } from '../domains/engine/slots.ts';
import { allBack } from '../domains/walk/slots.ts';
import { slots as timingSlots } from '../domains/timing/slots.ts';
import { COUNT, slotsOf } from '../job/vocabulary.ts';
import { slots as toothSlots } from '../domains/tooth/slots.ts';
import { BY_DISTRIBUTOR, cap, crank, distributor, engine, sheet, step, timing, tooth } from './authoring.ts';

const SAFE = 'Make safe';
const OUT = 'Mark and lift out';
const IN = 'Let it down again';
const PROVE = 'Time and prove';

/** What hangs on the distributor, counted off and on again; the hose goes on later, by its own step. */
const CONNECTIONS = slotsOf({
  'taken-off': { ...COUNT, label: 'plugs and cables taken off', required: true },
  'put-back': {
    ...COUNT,
    label: 'plugs and cables put back',
    required: true,
    countsBack: {
      slot: 'taken-off',
      missing: 'find by the labels what still hangs loose; a plug left off is a dead engine'
    }
  }
});

/** The same distributor out and in again on an engine that is not turned meanwhile: matching marks. */
export const refitSame = sheet({
  id: 'refit-same',
  title: 'Refit the same distributor',
  short: 'same distributor out and in',
  fits: [BY_DISTRIBUTOR],
  begins: ['gear-meshed', 'distributor-seated', 'oil-drive-engaged'],
  reference: 'staticBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      values: ['firingOrder', 'rotorDirection', 'ratio', 'staticBtdc']
    }),
    step({
      id: 'base-before',
      phase: SAFE,
      title: 'Timing read before it is touched',
      say: 'If the engine runs, strobe it at idle with the hose off and plugged, then stop.',
      why: 'A known figure from before is the best check afterwards.',
      handles: {
        'engine.switch': 'running, warm, at idle',
        'engine.crank': 'its mark under the strobe',
        'engine.capsule': 'hose off and plugged'
      },
      accept: 'Logged with its uncertainty.',
      ifSkipped: 'Nothing proves that the refit restored what was.',
      tools: ['strobe', 'tachometer'],
      minutes: 10,
      hazards: ['rotating', 'hot-surface', 'exhaust'],
      slots: [
        timingSlots.idle,
        {
          slot: 'base-before',
          label: 'timing before, strobe at idle',
          quantity: 'timing',
          gauge: 'strobe',
          repeats: true
        }
      ]
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    cap.mapLeads({ id: 'map', phase: SAFE }),
    engine.barOn({ id: 'bar', phase: OUT }),
    step({
      id: 'to-one',
      phase: OUT,
      title: 'Number one to its compression reference',
      say: 'Turn forward until the rotor comes to number one\u2019s tower and the mark to the reference.',
      why: 'Any place would do, but this one also saves the job if the crank is moved later.',
      accept: 'Rotor and mark agree.',
      ifSkipped: 'If the place is lost, it is a fit from scratch.',
      tools: ['bar', 'lamp'],
      minutes: 8,
      helper: 'advised',
      hazards: ['barring-tool', 'rotating'],
      needs: ['battery-isolated', 'leads-mapped'],
      acts: ['turns-crank'],
      sets: ['crank-at-reference', 'compression-confirmed', 'backlash-taken-up', 'cap-off']
    }),
    tooth.witnessMarks({ id: 'marks', phase: OUT, needs: ['crank-at-reference'] }),
    step({
      id: 'disconnect',
      phase: OUT,
      title: 'Hose, plug and cable off, each with its label',
      say: 'Label hose, trigger plug and every cable; pull each by its body; cap the hose\u2019s both ends.',
      why: 'What hangs on it is torn when it is lifted, and what has no label goes back by guess.',
      handles: {
        'distributor.capsule': 'hose off, labelled',
        'distributor.plate': 'trigger plug off, labelled',
        'distributor.leads': 'cable off, labelled'
      },
      accept: 'Plugs and cables counted and labelled, hose capped.',
      ifSkipped: 'A torn lead, a hose on the wrong nipple.',
      tools: ['labels', 'caps'],
      minutes: 4,
      needs: ['battery-isolated'],
      slots: [CONNECTIONS['taken-off']]
    }),
    distributor.withdraw({ id: 'out', phase: OUT }),
    distributor.pumpShaft({
      id: 'pump-shaft',
      phase: OUT,
      say: 'Before it clears the bore, see that the pump shaft stays behind.'
    }),
    engine.coverOpenings({ id: 'cover', phase: OUT }),
    engine.holdStill({ id: 'hold', phase: OUT }),
    distributor.sealOn({ id: 'seal', phase: IN }),
    tooth.leadRotor({ id: 'lead', phase: IN }),
    tooth.letDown({ id: 'in', phase: IN, surface: 'tooth' }),
    distributor.seated({ id: 'seat', phase: IN }),
    step({
      id: 'match',
      phase: IN,
      title: 'Both witness marks matched',
      say: 'Turn the housing to its mark and read the rotor: it must be on its own.',
      why: 'It restores the setting without measuring, and the rotor proves the tooth.',
      accept: 'Both marks coincide within a line.',
      ifSkipped: 'A tooth out hides behind a turned housing.',
      minutes: 3,
      needs: ['distributor-seated'],
      sets: ['housing-indexed'],
      slots: [toothSlots['rotor-now'], toothSlots['housing-now']],
      surface: 'witness'
    }),
    cap.rotorTip({ id: 'tip', phase: IN }),
    timing.biasChosen({ id: 'bias', phase: IN }),
    distributor.clampSnug({ id: 'snug', phase: IN }),
    cap.capOn({ id: 'cap', phase: IN }),
    cap.traceLeads({ id: 'leads', phase: IN }),
    step({
      id: 'reconnect',
      phase: IN,
      title: 'Plug and cables back on their labels',
      say: 'Trigger plug and every cable back by its label; the hose stays off and plugged until the timing is set; count.',
      why: 'A plug left off is a dead engine, and a hose put on too early hides the initial timing.',
      handles: { 'distributor.plate': 'trigger plug on', 'distributor.leads': 'each on its label' },
      accept: 'As many back as came off, but for the hose.',
      ifSkipped: 'No spark, or a wrong timing taken for right.',
      minutes: 3,
      hazards: ['hv-ignition'],
      needs: ['housing-indexed', 'battery-isolated'],
      slots: [CONNECTIONS['put-back']]
    }),
    timing.hoseOff({ id: 'hose', phase: PROVE }),
    timing.strobeOn({ id: 'strobe-on', phase: PROVE }),
    crank.toolsOff({
      id: 'off',
      phase: PROVE,
      title: 'Bar off, counted',
      say: 'Take the bar off the crank and count everything back onto the bench.'
    }),
    timing.nothingLeft({ id: 'sweep', phase: PROVE, slots: [engineSlots['small-parts-back'], ...allBack] }),
    timing.firstStart({ id: 'start', phase: PROVE }),
    timing.strobeInitial({
      id: 'strobe',
      phase: PROVE,
      say: 'At the same idle, hose plugged, read the mark and compare with the figure from before.'
    }),
    timing.clampFinal({ id: 'clamp-final', phase: PROVE }),
    timing.hoseOn({ id: 'hose-on', phase: PROVE }),
    engine.closeLog({ id: 'close', phase: PROVE, mustBeOff: ['vacuum-plugged'] })
  ]
});
