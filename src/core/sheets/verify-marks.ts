import { allBack } from '../domains/walk/slots.ts';
import { crank, engine, sheet, step } from './authoring.ts';

const SAFE = 'Make safe';
const FIND = 'Find true TDC';
const MARK = 'Judge and mark';

/** Is the damper's mark true? And marks, a scale or a tape for whoever reads it next. */
export const verifyMarks = sheet({
  id: 'verify-marks',
  title: 'Verify the mark, make marks and tape',
  short: 'verify mark, make scale',
  calls: { 'plugs-out': { on: 'plugs or injectors out', off: 'plugs or injectors in' } },
  begins: [],
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check stroke, rod and damper diameter on the data sheet against the engine.',
      values: ['strokeMm', 'rodMm', 'damperDiameterMm', 'runningDirection']
    }),
    engine.makeSafe({ id: 'safe', phase: SAFE }),
    engine.plugsOut({ id: 'plugs', phase: SAFE }),
    engine.barOn({ id: 'bar', phase: SAFE }),
    step({
      id: 'look',
      phase: FIND,
      title: 'Damper and pointer looked at',
      say: 'Look at key, bond line, wobble, pointer and cover; count the marks and say what each was for.',
      why: 'The wrong pair of damper and cover, or a ring that has walked, is common.',
      handles: {
        'rim.bond': 'has it crept?',
        'rim.pointer': 'stiff, belongs to this cover',
        'rim.mark': 'what each was for',
        'rim.face': 'wobble'
      },
      accept: 'No creep to be seen, one mark explained.',
      ifSkipped: 'The wrong groove is measured.',
      tools: ['lamp', 'mirror'],
      hazards: ['rotating'],
      slots: [{ slot: 'runout', label: 'wobble at the rim', quantity: 'length', gauge: 'dial' }]
    }),
    crank.markQuick({ id: 'quick', phase: FIND }),
    crank.wheelOn({ id: 'wheel', phase: FIND }),
    crank.trueTdc({ id: 'tdc', phase: FIND }),
    crank.probeOut({ id: 'probe-out', phase: FIND }),
    crank.judgeMark({ id: 'mark', phase: MARK }),
    step({
      id: 'scale',
      phase: MARK,
      title: 'Zero and scale made',
      say: 'Scribe a fine zero at true TDC, paint it, then lay a tape made for exactly this rim.',
      why: 'Later work is read from here; a tape for another rim reads wrong everywhere but at zero.',
      accept: 'Check length measured on the paper; several marks proved with the wheel.',
      ifSkipped: 'The next person starts blind.',
      tools: ['dividers', 'printed tape', 'paint'],
      minutes: 15,
      sets: ['scale-made'],
      needs: ['tdc-true'],
      slots: [
        { slot: 'check', label: 'check length on the printed paper', quantity: 'length', gauge: 'rule' },
        { slot: 'rim', label: 'along the rim, to a mark', quantity: 'length', gauge: 'rule', repeats: true }
      ],
      values: ['damperDiameterMm'],
      surface: 'make-scale'
    }),
    step({
      id: 'pointer',
      phase: MARK,
      title: 'Pointer fixed',
      photos: ['pointer and mark'],
      say: 'Lock the pointer close to the rim, mark it, take a photograph.',
      why: 'A pointer that moves is a zero that moves.',
      handles: { 'rim.pointer': 'locked, close to the rim', 'rim.mark': 'under it' },
      accept: 'Rigid, close to the rim.',
      ifSkipped: 'The zero is lost.',
      minutes: 5
    }),
    step({
      id: 'off',
      phase: MARK,
      title: 'Wheel and bar off, counted',
      say: 'Take wheel, pointer wire and bar off, count everything, plugs back in.',
      why: 'Whatever stays on the crank is thrown.',
      accept: 'Count complete.',
      ifSkipped: 'A thrown wheel.',
      minutes: 4,
      hazards: ['barring-tool', 'rotating'],
      clears: ['degree-wheel-on', 'barring-tool-fitted', 'plugs-out'],
      slots: allBack,
      mustBeOff: ['probe-in', 'piston-stop-in']
    }),
    engine.closeLog({ id: 'close', phase: MARK })
  ]
});
