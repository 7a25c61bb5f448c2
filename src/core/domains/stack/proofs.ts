import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves float, depth and mesh. */
export const proofs: Record<string, Proof> = {
  'bottoming-ok': proof('XXXK', 'machine'),
  'engagement-ok': proof('XXXK', 'machine'),
  'pattern-read': proof('XRRR', 'machine'),
  'gauge-washer-in': proof(
    'XXX-',
    'machine',
    look('seen-washer', 'Gauge washer', 'out, on the log sheet', [
      'still in',
      'never bolt the drive down on it: take it out'
    ])
  ),
  'packing-chosen': proof('XXRR', 'result'),
  'float-verified': proof('XXRK', 'machine')
};
