import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves a magneto's states. */
export const proofs: Record<string, Proof> = {
  'magneto-grounded': proof(
    'XXXR',
    'person',
    look('seen-no-spark', 'Coupling flicked, tester on a lead', 'no spark', [
      'it sparks',
      'keep away from leads and crank: find where its ground is lost'
    ])
  ),
  'spring-shaft-open': proof(
    'XXXR',
    'machine',
    look('seen-shaft-cover', 'Cover of the spring-loaded shaft', 'bolted, no end movement', [
      'open, or the shaft moves',
      'close the cover before the magneto goes on'
    ])
  ),
  'magneto-on': proof(
    'XXXR',
    'machine',
    look('felt-magneto', 'Flange before any screw', 'closes by hand all round', [
      'stands off',
      'never draw it in with the screws: turn its coupling until it closes'
    ])
  ),
  'impulse-set': proof(
    'XXXR',
    'person',
    look('seen-tower', 'Tester on number one\u2019s lead at the snap', 'sparked', [
      'did not spark',
      'it is on another lobe: turn it on to the next snap'
    ])
  ),
  'coupling-oriented': proof('XXXR', 'machine'),
  'snap-proved': proof('XXRR', 'person'),
  'run-proved': proof('XXRR', 'result')
};
