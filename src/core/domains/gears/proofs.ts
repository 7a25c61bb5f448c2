import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves gears and their pins. */
export const proofs: Record<string, Proof> = {
  'bodies-compared': proof('XXRR', 'machine'),
  'gear-material-ok': proof('XXX-', 'machine'),
  'gear-index-logged': proof(
    'XXX-',
    'result',
    look('seen-index', 'Dimple, hole and rotor', 'drawn or photographed against the teeth', [
      'not yet',
      'note them before the pin comes out'
    ])
  ),
  'gear-off': proof('XXX-', 'machine'),
  'gear-pinned': proof(
    'XXX-',
    'machine',
    look('felt-gear', 'Gear on its shaft', 'does not move', ['moves', 'the pin does not hold: fit one that does']),
    look('seen-pin', 'Pin', 'flush, as it was drawn', ['stands out', 'drive it home and secure it'])
  ),
  'dist-float-known': proof('XRRK', 'result')
};
