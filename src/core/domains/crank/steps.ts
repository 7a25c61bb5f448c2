import type { Step } from '../../job/run-sheet.ts';
import { slots as fit } from '../tdcfit/slots.ts';
import { slots } from './slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

/** Steps of finding the crank; each sheet gives them an id and a place, and may narrow the words. */
export const wheelOn = (u: Use): Step =>
  step(
    {
      title: 'Degree wheel and pointer on',
      say: 'Clamp the wheel true on the crank, pointer stiff and close, and zero it on the damper\u2019s mark.',
      why: 'Zeroed on the mark, the wheel shows directly how far the mark lies from true TDC.',
      accept: 'Nothing moves when pointer or wheel is touched.',
      ifSkipped: 'Creep of the wheel becomes timing error.',
      tools: ['degree wheel', 'pointer'],
      minutes: 8,
      hazards: ['rotating'],
      sets: ['degree-wheel-on'],
      needs: ['battery-isolated']
    },
    u
  );

export const trueTdc = (u: Use): Step =>
  step(
    {
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
      slots: [slots.depth, slots.before, slots.after, slots['top-dial'], slots.top, fit['fit-wheel'], fit['fit-dial']],
      schools: ['tdc'],
      wants: ['tdcWithinDeg'],
      surface: 'tdc',
      acts: ['probes-cylinder', 'turns-crank']
    },
    u
  );

export const markQuick = (u: Use): Step =>
  step(
    {
      title: 'Mark looked at with a soft probe',
      say: 'Number one near its top on the mark, a soft probe through the plug hole: turn a little either way by hand and see where it stands highest.',
      why: 'A mark that is grossly wrong shows at once, before wheel and dial go on.',
      accept: 'Highest near the mark: it is measured all the same.',
      ifSkipped: 'The wrong groove is measured to a tenth of a degree.',
      tools: ['soft probe', 'bar'],
      minutes: 4,
      hazards: ['pinch-plughole', 'barring-tool'],
      needs: ['plugs-out', 'battery-isolated'],
      acts: ['turns-crank'],
      choices: [
        {
          id: 'mark-quick',
          question: 'It stands highest',
          options: [
            { id: 'near', label: 'near the mark' },
            { id: 'off', label: 'plainly off it: another mark, or a ring that walked' }
          ]
        }
      ]
    },
    u
  );

export const probeOut = (u: Use): Step =>
  step(
    {
      title: 'Probe out, seen and laid down',
      say: 'Take dial and probe out of cylinder 1 and lay them where you see them.',
      why: 'The starter would break probe, piston or plug thread.',
      accept: 'Probe outside, in sight.',
      ifSkipped: 'A holed piston.',
      minutes: 2,
      clears: ['probe-in', 'piston-stop-in']
    },
    u
  );

export const judgeMark = (u: Use): Step =>
  step(
    {
      title: 'Mark judged',
      say: 'Compare the damper\u2019s mark with true TDC and decide whether to keep it.',
      why: 'The mark\u2019s error goes into every strobe reading, and is taken off again from here on.',
      accept:
        'Less than its uncertainty: keep. Constant: mark anew or correct. Changing from job to job: the ring slips.',
      ifSkipped: 'A mark that moves is trusted later.',
      minutes: 5,
      sets: ['damper-verified'],
      needs: ['tdc-true'],
      surface: 'mark'
    },
    u
  );

export const proveStroke = (u: Use): Step =>
  step(
    {
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
      schools: ['compression'],
      ways: {
        compression: {
          valves: {
            say: 'Valve cover off: turn forward, see number one\u2019s inlet open and close, and at the top that follows feel both rockers slack.',
            tools: ['spanner', 'lamp'],
            minutes: 15
          },
          gauge: {
            say: 'Gauge, whistle or balloon at number one\u2019s opening: turn forward by hand until it shows the pressure rise.',
            tools: ['gauge, whistle or balloon'],
            minutes: 8
          },
          fingertip: {
            say: 'Hold a fingertip just over the outside of the opening, never in it: turn forward by hand until air pushes it off.',
            tools: [],
            minutes: 5
          },
          companion: {
            say: 'Valve cover off: turn forward until the companion\u2019s valves rock, one closing as the other opens; then look at number one\u2019s own.',
            tools: ['spanner', 'lamp'],
            minutes: 12
          },
          camMarks: {
            say: 'Case or front open: read the marks of cam gear and crank pair by pair, or see number one\u2019s lobes off both followers.',
            tools: ['lamp'],
            minutes: 4
          }
        }
      },
      surface: 'strokes',
      acts: ['turns-crank', 'proves-stroke']
    },
    u
  );

export const measureSlack = (u: Use): Step =>
  step(
    {
      title: 'Slack of the drive measured',
      say: 'Turn forward until rotor, pump gear or dial moves and a little on, note the wheel; turn back slowly until it just begins to move; type how far. Twice.',
      why: 'A turn back must be longer than the slack, and it is rarely known.',
      accept: 'Two that agree within the reading, inside the wear limit where there is one.',
      ifSkipped: 'A turn back too short puts the slack into the setting, and a worn chain goes unseen.',
      tools: ['bar', 'lamp', 'degree wheel'],
      minutes: 5,
      helper: 'advised',
      hazards: ['barring-tool', 'rotating'],
      sets: ['slack-known'],
      clears: ['backlash-taken-up', 'crank-at-reference'],
      needs: ['barring-tool-fitted'],
      slots: [slots['drive-slack']],
      surface: 'slack',
      onlyWay: { school: 'slack', is: ['measured'], usual: 'unknown' },
      acts: ['turns-crank', 'turns-back']
    },
    u
  );

export const toReference = (u: Use): Step =>
  step(
    {
      title: 'Crank to the reference',
      say: 'Bring the crank to the initial setting, last movement forward.',
      why: 'Everything is indexed from here, and slack must lie on the running side.',
      accept: 'Within half a division of the target, last moved forward.',
      ifSkipped: 'Every later angle carries the error.',
      tools: ['bar', 'lamp', 'mirror'],
      minutes: 5,
      helper: 'advised',
      hazards: ['barring-tool'],
      sets: ['crank-at-reference', 'backlash-taken-up'],
      needs: ['compression-confirmed', 'barring-tool-fitted'],
      slots: [slots.stands],
      values: ['runningDirection', 'firingOrder'],
      wants: ['backlashDeg'],
      schools: ['overshoot'],
      surface: 'plan',
      acts: ['reaches-reference', 'turns-crank']
    },
    u
  );

export const toolsOff = (u: Use): Step =>
  step(
    {
      title: 'Wheel and bar off, plugs back',
      say: 'Take wheel, pointer wire and bar off the crank, put the plugs back to their torque, count everything onto the bench.',
      why: 'Whatever stays on the crank is thrown at the first turn by power.',
      accept: 'As much counted back as was taken out; every plug in.',
      ifSkipped: 'A thrown wheel or bar.',
      tools: ['tray', 'plug socket', 'torque wrench'],
      minutes: 8,
      hazards: ['barring-tool', 'rotating', 'overtorque'],
      clears: ['degree-wheel-on', 'barring-tool-fitted', 'plugs-out'],
      mustBeOff: ['probe-in', 'piston-stop-in', 'engine-pin-in']
    },
    u
  );
