import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves a curve that was changed. */
export const proofs: Record<string, Proof> = {
  'curve-targets': proof('XXR-', 'machine'),
  'curve-fitted': proof(
    'XXR-',
    'machine',
    look('seen-parts', 'Springs and stop', 'those that were chosen, by id or measure', [
      'others',
      'take those that were chosen, or say what went in and predict anew'
    ]),
    look('felt-span', 'Travel by hand', 'as far as its stop', [
      'further, or not as far',
      'look for a stop that is not seated, or a spring that is caught'
    ])
  )
};
