import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the states of a pump on its bench. */
export const proofs: Record<string, Proof> = {
  'phase-mounted': proof(
    'XXRR',
    'result',
    look('seen-fluid', 'Test fluid', 'warm, feed pressure in its band, no air', [
      'cold, low or with air in it',
      'warm and bleed it: spills read cold are false'
    ])
  ),
  'elements-even': proof('XXRR', 'result'),
  'bench-sealed': proof(
    'XXR-',
    'result',
    look('seen-bench-seal', 'Pump', 'locked, sealed and tagged', ['not yet', 'do that before it leaves the bench'])
  )
};
