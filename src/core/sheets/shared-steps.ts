import { step, type Step } from '../job/run-sheet.ts';

export type Use = Pick<Step, 'id' | 'phase'> & Partial<Step>;

/** Steps that several run sheets share; each sheet gives them an id and a place, and may narrow the words. */
export const intake = (u: Use): Step =>
  step({
    title: 'Data sheet confirmed',
    say: 'Check the data sheet against the plates of engine and distributor.',
    why: 'Every later figure follows the data sheet, right or wrong.',
    accept: 'Every value has a source and belongs to this very unit.',
    ifSkipped: 'The wrong order, direction or figure is followed faithfully.',
    tools: ['data sheet', 'lamp'],
    minutes: 10,
    sets: ['data-confirmed'],
    surface: 'sheet',
    ...u
  });

export const makeSafe = (u: Use): Step =>
  step({
    title: 'Start isolated, drives free',
    say: 'Block the machine, drives in neutral, battery earth lead off, fuel shut, key in your pocket.',
    why: 'Nobody may be caught by an engine that turns by itself.',
    accept: 'A start attempt does nothing.',
    ifSkipped: 'The engine turns with hands near fan, flywheel or open bore.',
    tools: ['blocks', 'spanner', 'tag'],
    hazards: ['inadvertent-start', 'vehicle-move', 'battery'],
    sets: ['vehicle-secured', 'battery-isolated', 'fuel-disabled'],
    ...u
  });

export const plugsOut = (u: Use): Step =>
  step({
    title: 'Plugs out, openings covered',
    say: 'Clean round the plugs, take them all out, cover the openings not in use.',
    why: 'Slow, smooth turning stops where you stop it.',
    accept: 'The crank stays where it is left.',
    ifSkipped: 'Compression throws the crank past the mark.',
    tools: ['plug socket', 'blower', 'covers'],
    minutes: 15,
    hazards: ['pinch-plughole', 'hot-surface', 'dropped-part'],
    sets: ['plugs-out'],
    needs: ['battery-isolated'],
    ...u
  });

export const barOn = (u: Use): Step =>
  step({
    title: 'Barring tool on',
    say: 'Fit a crank socket or flywheel bar; the nose bolt only forward and with the plugs out.',
    why: 'Slow turning without harm to the crank nose.',
    accept: 'It turns the crank without slip and its swing is clear.',
    ifSkipped: 'The bolt loosens or strips, and the mark is passed.',
    tools: ['crank socket or flywheel bar'],
    minutes: 3,
    helper: 'advised',
    hazards: ['barring-tool', 'rotating'],
    sets: ['barring-tool-fitted'],
    needs: ['battery-isolated', 'vehicle-secured'],
    ...u
  });

export const wheelOn = (u: Use): Step =>
  step({
    title: 'Degree wheel and pointer on',
    say: 'Clamp the wheel true on the crank, pointer stiff and close, and zero it on the damper\u2019s mark.',
    why: 'Zeroed on the mark, the wheel shows directly how far the mark lies from true TDC.',
    accept: 'Nothing moves when pointer or wheel is touched.',
    ifSkipped: 'Creep of the wheel becomes timing error.',
    tools: ['degree wheel', 'pointer'],
    minutes: 8,
    hazards: ['rotating'],
    sets: ['degree-wheel-on'],
    needs: ['battery-isolated'],
    ...u
  });

export const trueTdc = (u: Use): Step =>
  step({
    title: 'True TDC found',
    say: 'Find where the piston is truly at its top.',
    why: 'Near the top the piston hardly moves, so the top itself is the worst place to look for it.',
    accept: 'Repeats agree within what wheel and dial can show.',
    ifSkipped: 'Every angle after this carries a guess.',
    tools: ['dial with probe', 'degree wheel'],
    minutes: 15,
    helper: 'advised',
    hazards: ['pinch-plughole', 'barring-tool'],
    sets: ['tdc-true'],
    needs: ['degree-wheel-on', 'plugs-out', 'battery-isolated'],
    slots: [
      { slot: 'depth', label: 'dial, down from the top', quantity: 'length', gauge: 'dial' },
      { slot: 'before', label: 'wheel, before the top', quantity: 'angle', gauge: 'wheel', repeats: true },
      { slot: 'after', label: 'wheel, after the top', quantity: 'angle', gauge: 'wheel', repeats: true },
      { slot: 'top-dial', label: 'dial, at its highest', quantity: 'length', gauge: 'dial' },
      { slot: 'top', label: 'wheel, at the highest point', quantity: 'angle', gauge: 'wheel', repeats: true },
      { slot: 'fit-wheel', label: 'wheel', quantity: 'angle', gauge: 'wheel', repeats: true },
      { slot: 'fit-dial', label: 'dial at that place', quantity: 'length', gauge: 'dial', repeats: true }
    ],
    school: 'tdc',
    surface: 'tdc',
    ...u
  });

export const probeOut = (u: Use): Step =>
  step({
    title: 'Probe out, seen and laid down',
    say: 'Take dial and probe out of cylinder 1 and lay them where you see them.',
    why: 'The starter would break probe, piston or plug thread.',
    accept: 'Probe outside, in sight.',
    ifSkipped: 'A holed piston.',
    minutes: 2,
    clears: ['probe-in', 'piston-stop-in'],
    ...u
  });

export const judgeMark = (u: Use): Step =>
  step({
    title: 'Mark judged',
    say: 'Compare the damper\u2019s mark with true TDC and decide whether to keep it.',
    why: 'The mark\u2019s error goes into every strobe reading, and is taken off again from here on.',
    accept:
      'Less than its uncertainty: keep. Constant: mark anew or correct. Changing from job to job: the ring slips.',
    ifSkipped: 'A mark that moves is trusted later.',
    minutes: 5,
    sets: ['mark-judged'],
    needs: ['tdc-true'],
    surface: 'mark',
    ...u
  });

export const proveStroke = (u: Use): Step =>
  step({
    title: 'Compression stroke, two signs',
    say: 'Say what you feel and see on the rise that follows the last reading.',
    why: 'The mark comes up twice in a cycle and only one of them fires.',
    accept: 'Two independent signs agree; one alone is provisional.',
    ifSkipped: 'The distributor goes in half a turn out.',
    tools: ['gauge or whistle', 'lamp'],
    minutes: 10,
    helper: 'advised',
    hazards: ['pinch-plughole', 'rotating'],
    sets: ['compression-confirmed'],
    needs: ['barring-tool-fitted', 'tdc-true'],
    school: 'compression',
    surface: 'strokes',
    ...u
  });

export const toReference = (u: Use): Step =>
  step({
    title: 'Crank to the reference',
    say: 'Bring the crank to the initial setting, last movement forward.',
    why: 'Everything is indexed from here, and slack must lie on the running side.',
    accept: 'Within half a division of the target, last moved forward.',
    ifSkipped: 'Every later angle carries the error.',
    tools: ['bar', 'lamp', 'mirror'],
    minutes: 5,
    helper: 'advised',
    hazards: ['barring-tool'],
    sets: ['crank-at-reference', 'slack-taken-up'],
    needs: ['compression-confirmed', 'barring-tool-fitted'],
    slots: [
      { slot: 'stands', label: 'wheel, where the crank stands now', quantity: 'angle', gauge: 'wheel', repeats: true }
    ],
    values: ['staticBtdc', 'backlashDeg', 'runningDirection', 'firingOrder'],
    school: 'overshoot',
    surface: 'plan',
    ...u
  });

export const closeLog = (u: Use): Step =>
  step({
    title: 'Log closed',
    say: 'Read the card through, note what stays open, sign it.',
    why: 'The next person should not start blind.',
    accept: 'Readable without its author.',
    ifSkipped: 'The reference must be found again next time.',
    sets: ['log-closed'],
    surface: 'close',
    ...u
  });
