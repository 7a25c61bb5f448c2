import { allBack } from '../domains/walk/slots.ts';
import { slots } from '../domains/magneto/slots.ts';
import { crank, engine, sheet, step } from './authoring.ts';

const SAFE = 'Make safe';
const FIND = 'Find the crank';
const DRIVE = 'Set drive and magneto';
const SNAP = 'Prove the snap';
const RUN = 'Start and prove';

/** A magneto with an impulse coupling fitted to its engine, whether its gears carry marks or none. */
export const magneto = sheet({
  id: 'magneto',
  title: 'Fit a magneto with an impulse coupling',
  short: 'magneto, impulse coupling',
  fits: [{ field: 'firedBy', is: ['magneto'], otherwise: 'its firing is timed by $, not by a magneto' }],
  begins: [],
  reference: 'magnetoRefBtdc',
  steps: [
    engine.intake({
      id: 'intake',
      phase: SAFE,
      say: 'Check which side is number one, the flywheel\u2019s marks and their viewing end, the magneto\u2019s direction, lag, running spark and flange torque.',
      values: ['magnetoDirection', 'magnetoRatio', 'lagDeg', 'runBtdc', 'runningDirection', 'strokeMm', 'rodMm']
    }),
    engine.makeSafe({
      id: 'safe',
      phase: SAFE,
      say: 'Block the machine, drives in neutral, battery lead off where there is one, fuel shut. A magneto needs no battery.'
    }),
    step({
      id: 'ground',
      phase: SAFE,
      title: 'Stop lead grounded, and proved',
      say: 'Clip the stop lead to the frame, measure next to no resistance between the two, and leave it clipped until the first start.',
      why: 'A magneto is live whenever it turns.',
      accept: 'Next to no resistance from stop lead to frame.',
      ifSkipped: 'A spark or a kick while it is turned by hand.',
      tools: ['clip lead', 'meter'],
      minutes: 2,
      hazards: ['hv-ignition', 'kickback'],
      sets: ['magneto-grounded']
    }),
    engine.plugsOut({ id: 'plugs', phase: SAFE }),
    engine.barOn({ id: 'bar', phase: SAFE }),
    step({
      id: 'shaft',
      phase: SAFE,
      title: 'Drive shaft seated, its cover bolted',
      say: 'See whether the gear or governor cover is off, and whether the shaft can be pushed endwise; seat the shaft and bolt that cover before the magneto is offered.',
      why: 'A spring pushes some shafts endwise while their cover is off.',
      accept: 'The shaft stands at its seat with the cover bolted.',
      ifSkipped: 'A broken magneto flange.',
      tools: ['spanner', 'gasket'],
      minutes: 10,
      hazards: ['spring-release', 'pinch'],
      clears: ['spring-shaft-open'],
      onlyIf: {
        fact: 'springShaft',
        question: 'Can the drive shaft be pushed endwise, or is its cover off?',
        yes: 'Yes, or not sure',
        no: 'It stands firm',
        flag: 'spring-shaft-open'
      }
    }),
    crank.wheelOn({ id: 'wheel', phase: FIND }),
    crank.trueTdc({ id: 'tdc', phase: FIND }),
    crank.judgeMark({
      id: 'mark',
      phase: FIND,
      title: 'Flywheel\u2019s mark judged',
      say: 'Compare the flywheel\u2019s mark with true TDC and decide whether to keep it.',
      why: 'The snap is judged by this mark.'
    }),
    crank.probeOut({ id: 'probe-out', phase: FIND }),
    crank.proveStroke({ id: 'stroke', phase: FIND }),
    crank.toReference({
      id: 'ref',
      phase: FIND,
      title: 'Crank to the impulse mark',
      say: 'On the firing stroke bring the crank to the mark of the impulse spark, last movement forward.'
    }),
    step({
      id: 'marks',
      phase: DRIVE,
      title: 'Gears looked at for marks, and partners',
      say: 'Look at both gears for marks or special teeth; a mark without its partner is a hint and no more.',
      why: 'A mark without a partner proves nothing.',
      handles: { 'train.driven': 'the magneto\u2019s: mark, odd tooth', 'train.marks': 'both of a pair, or none' },
      accept: 'A pair is there, or the gears are called unmarked.',
      ifSkipped: 'False confidence.',
      tools: ['lamp'],
      minutes: 5,
      schools: ['magneto-marks'],
      ways: {
        'magneto-marks': {
          coupling: {
            say: 'Look at both gears and trust no mark: the drive is set by the direction of the coupling at the reference, measured later.',
            accept: 'What the gears carry is known; the coupling decides.'
          }
        }
      },
      choices: [
        {
          id: 'gear-marks',
          part: 'train.marks',
          question: 'The gears carry',
          options: [
            { id: 'pair', label: 'a pair of marks' },
            { id: 'lone', label: 'one mark alone' },
            { id: 'none', label: 'no marks' }
          ]
        }
      ]
    }),
    step({
      id: 'coupling',
      phase: DRIVE,
      title: 'Drive coupling\u2019s direction',
      say: 'With the crank at the mark read how slot or tongue stands, from its drive end; mesh the gear anew until it stands within half a tooth.',
      why: 'On unmarked gears the coupling itself carries the reference.',
      accept: 'Within half a tooth of the data sheet\u2019s direction.',
      ifSkipped: 'A magneto that cannot be bolted in line, or a tooth out.',
      tools: ['level'],
      minutes: 10,
      hazards: ['pinch'],
      sets: ['coupling-oriented'],
      needs: ['crank-at-reference', 'compression-confirmed'],
      slots: [slots['drive-stands']],
      values: ['couplingBearing', 'magnetoGearTeeth'],
      surface: 'coupling'
    }),
    step({
      id: 'set',
      phase: DRIVE,
      title: 'Magneto just past its snap',
      say: 'On the bench, lead of number one on a tester, turn it by hand in its running direction until it snaps for number one; then to the coupling\u2019s direction without reaching another lobe.',
      why: 'The impulse trips sharply and can be heard.',
      accept: 'Tower one has just fired, the tongue lines up.',
      ifSkipped: 'It fires another cylinder.',
      tools: ['tester'],
      minutes: 6,
      hazards: ['hv-ignition', 'pinch'],
      sets: ['impulse-set'],
      needs: ['coupling-oriented']
    }),
    step({
      id: 'offer',
      phase: DRIVE,
      title: 'Magneto on, by hand',
      say: 'Engage the coupling by hand until the flange faces touch; only then the screws, in the middle of their slots.',
      why: 'Drawn home with the screws, flange or coupling breaks.',
      accept: 'It closes by hand.',
      ifSkipped: 'A broken flange, a bent coupling.',
      tools: ['gasket'],
      minutes: 6,
      hazards: ['pinch'],
      sets: ['magneto-on'],
      needs: ['impulse-set'],
      mustBeOff: ['spring-shaft-open', 'flange-stands-off'],
      acts: ['bolts-magneto']
    }),
    step({
      id: 'snap',
      phase: SNAP,
      title: 'Snap heard at its mark',
      say: 'Turn the crank slowly forward and read where the snap is heard; do it three times, then move the flange until it snaps at the mark.',
      why: 'It is the last proof before it is started.',
      accept: 'At the mark or just after it, as the data sheet has it.',
      ifSkipped: 'It kicks at a hand start.',
      tools: ['bar'],
      minutes: 8,
      helper: 'yes',
      hazards: ['hv-ignition', 'barring-tool'],
      sets: ['snap-proved'],
      needs: ['magneto-on', 'magneto-grounded'],
      slots: [slots.snap],
      adjusts: ['flange'],
      values: ['runBtdc', 'lagDeg', 'magnetoRatio'],
      surface: 'snap',
      acts: ['turns-crank']
    }),
    step({
      id: 'flange',
      phase: SNAP,
      title: 'Flange tightened, snap heard again',
      say: 'Tighten the flange evenly to its torque, then hear the snap three times more.',
      why: 'Tightening can move the magneto.',
      accept: 'Torque reached, snap unchanged.',
      ifSkipped: 'The timing drifts.',
      tools: ['torque wrench'],
      minutes: 5,
      hazards: ['barring-tool', 'overtorque'],
      needs: ['snap-proved'],
      slots: [slots['flange-torque'], slots['snap-after']],
      adjusts: ['flange-screws'],
      values: ['magnetoTorqueNm'],
      surface: 'snap',
      acts: ['draws-flange', 'turns-crank']
    }),
    step({
      id: 'new-marks',
      phase: SNAP,
      title: 'Marks for the next person',
      photos: ['the teeth in mesh', 'the line of the flange'],
      say: 'Paint or punch the pair of teeth in mesh and the line of the flange; take a photograph.',
      why: 'It saves the next person this whole sheet.',
      handles: { 'train.marks': 'pair in mesh, painted', 'train.driven': 'line of the flange' },
      accept: 'Visible, and said on the card.',
      ifSkipped: 'The same blind work again.',
      tools: ['punch', 'paint', 'camera'],
      minutes: 4
    }),
    step({
      id: 'leads',
      phase: SNAP,
      title: 'Leads on, in order',
      say: 'From number one on, in firing order and in the magneto\u2019s direction; trace each to its cylinder.',
      why: 'A wrong order backfires.',
      accept: 'Traced, every one.',
      ifSkipped: 'A backfire.',
      minutes: 5,
      hazards: ['hv-ignition'],
      needs: ['magneto-grounded'],
      acts: ['touches-leads']
    }),
    crank.toolsOff({ id: 'off', phase: RUN }),
    step({
      id: 'sweep',
      phase: RUN,
      title: 'Nothing left on or in the engine',
      say: 'Walk round it: wheel, bar, probe, clips but the one that grounds it, rags, guards; oil and water seen.',
      why: 'Whatever is left on is thrown.',
      accept: 'Everything counted back.',
      ifSkipped: 'A thrown tool.',
      minutes: 4,
      hazards: ['flying', 'barring-tool'],
      sets: ['sweep-done'],
      slots: allBack,
      mustBeOff: ['degree-wheel-on', 'barring-tool-fitted', 'probe-in', 'piston-stop-in']
    }),
    step({
      id: 'start',
      phase: RUN,
      title: 'First start',
      say: 'Only now take the clip off the stop lead, fuel on. By hand: thumb on the same side of the handle as the fingers, pull up, never push down.',
      why: 'A short first run is a measurement.',
      accept: 'It runs without a kick or a backfire.',
      ifSkipped: 'A kick nobody was ready for.',
      tools: ['extinguisher'],
      minutes: 8,
      helper: 'yes',
      hazards: ['kickback', 'backfire', 'first-start', 'exhaust', 'noise', 'rotating'],
      sets: ['engine-running'],
      clears: ['magneto-grounded', 'fuel-disabled', 'battery-isolated'],
      needs: ['sweep-done', 'snap-proved'],
      choices: [
        {
          id: 'start-by',
          question: 'It is started by',
          options: [
            { id: 'hand', label: 'hand' },
            { id: 'starter', label: 'a starter' }
          ]
        }
      ],
      acts: ['starts']
    }),
    step({
      id: 'run',
      phase: RUN,
      title: 'Running spark by strobe',
      say: 'Above the speed at which the coupling rides out read speed and spark, three times.',
      why: 'The impulse fires late on purpose; running it fires earlier.',
      accept: 'Inside its limits, above that speed.',
      ifSkipped: 'Always late, or it kicks.',
      tools: ['strobe', 'tachometer'],
      minutes: 8,
      helper: 'yes',
      hazards: ['rotating', 'noise', 'exhaust'],
      sets: ['run-proved'],
      needs: ['engine-running'],
      slots: [slots['run-rpm'], slots['run-spark']],
      values: ['rideOutRpm', 'runBtdc'],
      surface: 'run-spark'
    }),
    step({
      id: 'stop',
      phase: RUN,
      title: 'Stopped, and grounded again',
      say: 'Stop it by its stop lead and clip the lead to the frame again.',
      why: 'It shows that the stop lead stops it, and leaves nothing live.',
      accept: 'It stops at once, and there is next to no resistance from stop lead to frame.',
      ifSkipped: 'A magneto that is live under the next hand.',
      minutes: 2,
      sets: ['magneto-grounded'],
      clears: ['engine-running']
    }),
    engine.closeLog({ id: 'close', phase: RUN, mustBeOff: ['engine-running'] })
  ]
});
