import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves where the drive stands and what holds it. */
export const proofs: Record<string, Proof> = {
  'tooth-chosen': proof('XXRR', 'result'),
  'drive-oriented': proof(
    'XXXR',
    'result',
    look('seen-sides', 'Wide and narrow side of the slot', 'as drawn', [
      'the other way round',
      'lift it and mesh it half a turn on'
    ])
  ),
  'drive-shaft-out': proof(
    'XXX-',
    'machine',
    look('seen-turns', 'Crank\u2019s first degree', 'shaft turns with it', [
      'shaft stays',
      'it is not in mesh: never turn on, lift it and mesh it again'
    ])
  ),
  'shaft-held-down': proof(
    'XXX-',
    'machine',
    look('felt-shaft', 'Shaft at its coupling', 'cannot be lifted', [
      'lifts',
      'never turn the crank: fit spring, seat and clamp'
    ])
  ),
  'shaft-fault-proved': proof('XXXR', 'machine'),
  'shaft-unsupported': proof('XXX-', 'machine'),
  'shaft-rod-held': proof(
    'XXX-',
    'machine',
    look('said-rod', 'Whoever holds the rod says', 'down, and held', [
      'nothing, or not yet',
      'wait for the word before every movement of the crank'
    ])
  ),
  'puller-proved': proof(
    'XXX-',
    'machine',
    look('seen-puller', 'Puller tried on the bench', 'grips without spreading the flange', [
      'slips or spreads',
      'take another puller: a lever breaks the flange'
    ])
  ),
  'spring-out': proof(
    'XXX-',
    'result',
    look('seen-spring', 'Preload spring', 'seen in its seat', ['not seen', 'fit it before the distributor goes in'])
  ),
  'pushrod-out': proof(
    'XXX-',
    'machine',
    look('seen-rod-in', 'Push rod and its flange', 'both in', [
      'one is missing',
      'fit both before the distributor goes in'
    ])
  ),
  'cam-timed': proof(
    'XXR-',
    'machine',
    look('seen-cam-marks', 'Marks of every pair', 'together, seen square on', [
      'apart',
      'mesh it again: valves meet pistons a few teeth out'
    ])
  )
};
