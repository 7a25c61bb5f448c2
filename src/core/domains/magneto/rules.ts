import type { Rule } from '../../job/rule.ts';
import type { MagnetoVocabulary } from './vocabulary.ts';

/** At hand-cranking speed it fires before the top, or nobody heard that it does not, and it is to be started by hand. */
const KICKS: Rule<MagnetoVocabulary['flag']> = {
  id: 'IL.99',
  was: 'hand-kick',
  worked: true,
  on: [],
  off: [],
  bar: 'Snap not proved at the top or after it: no hand start',
  never: 'Start it by hand while its impulse fires before the top, or before its snap was heard.',
  because: 'A spark before the top kicks the handle back, and breaks a wrist.',
  first: 'a snap at or after the top, or a starter instead of the hand',
  ifItHappened: 'See to the hand; look at coupling, lag and mark before it is turned again.',
  harm: 'person',
  forbids: ['starts'],
  loses: ['snap-proved']
};

export const rules: Rule<MagnetoVocabulary['flag']>[] = [
  KICKS,
  {
    id: 'IL.63',
    on: ['spring-shaft-open'],
    off: [],
    bar: 'Spring-loaded shaft open: no magneto on',
    never: 'Bolt the magneto on, or press its shaft home by the flange screws, while the shaft\u2019s cover is off.',
    because: 'The spring pushes the shaft against the coupling, and the flange breaks.',
    first: 'shaft at its seat, its cover bolted',
    ifItHappened: 'Take the magneto off, seat the shaft, bolt the cover, look at coupling and flange.',
    harm: 'machine',
    forbids: ['bolts-magneto', 'draws-flange'],
    loses: ['magneto-on', 'impulse-set']
  },
  {
    id: 'IL.64',
    standing: true,
    on: [],
    off: ['magneto-grounded', 'engine-running'],
    bar: 'Magneto live: do not turn, touch no lead',
    never: 'Turn the engine by hand, or touch a lead, while the magneto is not grounded.',
    because: 'A magneto needs no battery, and any flick fires it.',
    first: 'stop lead clipped to the frame, and the meter says so',
    ifItHappened: 'Let go, ground it, see to whoever was hit, begin the step again.',
    harm: 'person',
    forbids: ['turns-crank', 'turns-back', 'touches-leads'],
    loses: ['impulse-set']
  },
  {
    id: 'IL.65',
    on: [],
    off: ['impulse-set'],
    bar: 'Magneto not at its snap: do not bolt it',
    never: 'Bolt the magneto on before it stands just past its snap for number one.',
    because: 'It may stand on another lobe, or on another cylinder.',
    ifItHappened: 'Take it off and set it at its snap again.',
    harm: 'result',
    forbids: ['bolts-magneto'],
    loses: ['magneto-on', 'snap-proved']
  },
  {
    id: 'IL.66',
    on: ['flange-stands-off'],
    off: [],
    bar: 'Flange stands off: do not draw it home',
    never: 'Draw the magneto\u2019s flange home with its screws.',
    because: 'The coupling is out of line, and flange or coupling breaks.',
    first: 'coupling engaged by hand, flange faces touching',
    ifItHappened: 'Loosen, take it off, line the tongue up, look for a spring that pushes.',
    harm: 'machine',
    forbids: ['bolts-magneto', 'draws-flange'],
    loses: ['magneto-on']
  }
];
