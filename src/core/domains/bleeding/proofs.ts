import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the fuel's way and the first run. */
export const proofs: Record<string, Proof> = {
  'stop-proved': proof('XXX-', 'person'),
  'low-bled': proof(
    'XXR-',
    'result',
    look('seen-low', 'Last screw in the flow', 'clear stream, no bubble, shut', [
      'bubbles',
      'bleed on from the screw nearest the tank'
    ])
  ),
  'fuel-bled': proof('XXR-', 'result'),
  'pump-oil-primed': proof(
    'XXX-',
    'machine',
    look(
      'seen-pump-oil',
      'Oil of the pump',
      ['amount filled, or seen to flow', 'fuel lubricates it'],
      ['none seen', 'fill it: a dry pump seizes within minutes']
    )
  ),
  'first-run-seen': proof('XFRR', 'machine'),
  'idle-set': proof('XXRR', 'result')
};
