import { BY_DISTRIBUTOR, curves, engine, sheet, step, timing } from './authoring.ts';
import { proveMark } from './prove-mark.ts';

const READY = 'Make ready';
const BASE = 'Initial timing';
const CURVE = 'The curve';
const CLOSE = 'Lock and close';

/** The strobe on a running engine: initial timing, the whole curve up and down, scatter, vacuum, lock. */
export const strobeTiming = sheet({
  id: 'strobe-timing',
  title: 'Verify timing and curve with the strobe',
  short: 'strobe: initial, curve, vacuum',
  fits: [BY_DISTRIBUTOR],
  begins: ['distributor-seated', 'gear-meshed', 'oil-drive-engaged', 'clamp-snug', 'leads-fitted', 'gasket-fitted'],
  reference: 'staticBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: READY,
      values: ['staticBtdc', 'rotorDirection', 'ratio', 'advanceBand', 'idleRpm']
    }),
    step({
      id: 'marks',
      phase: READY,
      title: 'Marks clean and painted',
      say: 'With the engine stopped clean and paint the true mark and its pointer, fine as a line.',
      why: 'Parallax and dirt cost degrees.',
      handles: { 'rim.mark': 'clean, painted', 'rim.pointer': 'clean' },
      accept: 'A thin line seen from where you will stand.',
      ifSkipped: 'The wrong groove is read.',
      tools: ['brush', 'paint'],
      hazards: ['rotating'],
      mustBeOff: ['engine-running']
    }),
    ...proveMark(READY),
    engine.secure({ id: 'secure', phase: READY }),
    timing.strobeOn({ id: 'strobe-on', phase: READY }),
    timing.hoseOff({ id: 'hose', phase: READY }),
    timing.nothingLeft({ id: 'sweep-list', phase: READY }),
    timing.firstStart({
      id: 'start',
      phase: READY,
      title: 'Started and warm',
      say: 'Start it, run it warm, choke off, idle below the onset of the advance.'
    }),
    timing.strobeInitial({
      id: 'strobe',
      phase: BASE,
      needs: ['engine-running', 'strobe-connected', 'clamp-snug', 'vacuum-plugged']
    }),
    timing.idleSet({ id: 'idle-set', phase: BASE }),
    curves.sweepRun({ id: 'sweep', phase: CURVE }),
    timing.totalSet({ id: 'total', phase: CURVE }),
    curves.steadiness({ id: 'steady', phase: CURVE }),
    curves.vacuumChecked({ id: 'vacuum', phase: CURVE, needs: ['engine-running', 'strobe-connected'] }),
    timing.clampFinal({ id: 'clamp-final', phase: CLOSE }),
    timing.hoseOn({ id: 'hose-on', phase: CLOSE }),
    step({
      id: 'hot-start',
      phase: CLOSE,
      title: 'Hot restart proved',
      say: 'Let the heat soak in, start again, listen for labour or a kick.',
      why: 'Too much initial timing shows here.',
      accept: 'Cranks evenly.',
      ifSkipped: 'A broken starter later.',
      minutes: 10,
      hazards: ['first-start', 'exhaust', 'kickback'],
      acts: ['cranks-by-power', 'starts']
    }),
    engine.closeLog({ id: 'close', phase: CLOSE, mustBeOff: ['vacuum-plugged'] })
  ]
});
