import { proof, type Proof } from '../../job/proof.ts';

/** What proves the count of the thrust rings. */
export const proofs: Record<string, Proof> = { 'rings-counted': proof('XXXR', 'machine') };
