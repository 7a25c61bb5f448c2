import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the advance. */
export const proofs: Record<string, Proof> = {
  'advance-free': proof(
    'XXX-',
    'machine',
    look('felt-advance', 'Turned and let go three times', 'comes back sharply each time, both weights move', [
      'slow, sticks, or one weight stays',
      'clean and oil it, then try three times again'
    ])
  ),
  'baseline-known': proof('KFKK', 'result'),
  'curve-verified': proof('XRRK', 'machine'),
  'vacuum-set': proof('XXRK', 'result'),
  'capsule-ok': proof('XFKR', 'result'),
  'advance-parts-counted': proof('XXX-', 'machine')
};
