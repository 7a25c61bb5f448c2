import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the timing. */
export const proofs: Record<string, Proof> = {
  'housing-indexed': proof('XXRK', 'person'),
  'housing-room-ok': proof('XXRR', 'result'),
  'vacuum-plugged': proof(
    'XXR-',
    'result',
    look('seen-hose', 'Vacuum hose', 'off, engine side plugged, no hiss', [
      'it hisses, or the mark moves when it is pinched',
      'plug it tighter: a leak there moves the timing'
    ])
  ),
  'rotor-phase-ok': proof(
    'KXRR',
    'result',
    look(
      'seen-rotor-phase',
      'Tip and tower with the trigger just firing, at no and at full vacuum',
      ['part of the tip under part of the tower at both', 'under it, and nothing moves the trigger here'],
      ['tip clear of the tower at one of them', 'look at rotor, cap and trigger plate: they were never paired']
    )
  ),
  'bias-on': { ...proof('XXX-', 'machine'), goneWith: 'base-timing-set' },
  'gap-set': proof('XXRR', 'result'),
  'trigger-verified': proof(
    'XXX-',
    'result',
    look('read-edge', 'Edge and polarity', 'read in the wiring data', [
      'by likeness',
      'find the wiring data: a wrong edge is a pole\u2019s width out'
    ])
  ),
  'strobe-connected': proof(
    'XXX-',
    'person',
    look('seen-clear', 'Leads of the strobe', 'clear of fan, belt and exhaust', [
      'not clear',
      'lay them where nothing that turns can catch them'
    ]),
    look(
      'seen-flash',
      'Flash',
      ['steady, from number one alone', 'to be seen at the start'],
      ['unsteady, or from another lead', 'move the pickup away from its neighbours']
    )
  ),
  'base-timing-set': proof('XXRK', 'result')
};
