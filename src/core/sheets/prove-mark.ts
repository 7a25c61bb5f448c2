import type { OnlyIf, Step } from '../job/run-sheet.ts';
import { crank, engine, step } from './authoring.ts';

/** Worked out, never asked: whether what is known of the mark is good enough for the limits of this engine. */
const doubted: OnlyIf = {
  fact: 'markDoubted',
  question: 'Is the mark to be proved on this job?',
  yes: 'It is to be proved',
  no: 'It was proved, and nothing has moved it'
};

/**
 * The ring looked at, and, where the mark was never proved, has walked or was proved too long ago for the limits, true TDC found
 * and the mark judged before anything is set by it.
 */
export const proveMark = (phase: string): Step[] => [
  step({
    id: 'ring',
    phase,
    title: 'Damper\u2019s ring and pointer looked at',
    say: 'With the engine stopped look at bond line, face and pointer: has the ring walked on its hub, does the pointer stand as it should?',
    why: 'A ring that walked takes the mark with it, and every strobe reading is wrong by as much.',
    handles: {
      'rim.bond': 'torn, bulged or out of line?',
      'rim.pointer': 'straight and tight?',
      'rim.face': 'flush with its hub?'
    },
    accept: 'Bond line whole, ring flush, pointer straight.',
    ifSkipped: 'A mark that moved is believed.',
    tools: ['lamp', 'mirror'],
    minutes: 2,
    hazards: ['rotating'],
    mustBeOff: ['engine-running'],
    choices: [
      {
        id: 'ring-seen',
        part: 'rim.bond',
        question: 'The damper\u2019s ring',
        options: [
          { id: 'kept', label: 'stands as it did: bond whole, ring flush' },
          { id: 'walked', label: 'has walked, or a trace of it is seen' }
        ]
      }
    ]
  }),
  engine.makeSafe({ id: 'mark-safe', phase, onlyIf: doubted }),
  engine.plugsOut({ id: 'mark-plugs', phase, onlyIf: doubted }),
  engine.barOn({ id: 'mark-bar', phase, onlyIf: doubted }),
  crank.markQuick({ id: 'mark-look', phase, onlyIf: doubted }),
  crank.wheelOn({ id: 'mark-wheel', phase, onlyIf: doubted }),
  crank.trueTdc({ id: 'mark-tdc', phase, onlyIf: doubted }),
  crank.judgeMark({ id: 'mark', phase, onlyIf: doubted }),
  crank.probeOut({ id: 'mark-probe-out', phase, onlyIf: doubted }),
  crank.toolsOff({ id: 'mark-off', phase, onlyIf: doubted })
];
