import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the record of what came in. */
export const proofs: Record<string, Proof> = {
  'received-recorded': proof(
    'XXR-',
    'result',
    look('seen-as-it-came', 'Rotor, cap and leads as they came', 'written down or photographed', [
      'not yet',
      'record them before anything is moved'
    ])
  ),
  'wear-read': proof('XFRR', 'machine'),
  'parts-decided': proof('XXRR', 'machine')
};
