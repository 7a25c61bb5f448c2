import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the injection pump's states. */
export const proofs: Record<string, Proof> = {
  'chart-confirmed': proof('XXX-', 'result'),
  'offset-planned': proof('XXR-', 'result'),
  'drive-cover-off': proof(
    'XXRR',
    'machine',
    look('seen-cover', 'Drive cover', 'bolted, its seal not rolled', [
      'not bolted, or the seal is rolled',
      'take it off and put its seal right'
    ])
  ),
  'delivery-valve-out': proof(
    'XXXR',
    'person',
    look('seen-valve', 'Delivery valve', 'parts in their order, none over, new seal', [
      'a part is over, or the seal is old',
      'take it apart again: what is left out sprays fuel under pressure'
    ])
  ),
  'indicator-on': proof(
    'XXX-',
    'machine',
    look('seen-dial-off', 'Dial and adaptor', 'off the pump', [
      'still on',
      'take them off before anything turns by power'
    ])
  ),
  'travel-proved': proof('XXXX', 'machine'),
  'indicator-zeroed': proof('XXXK', 'result'),
  'pump-on': proof(
    'XXRR',
    'machine',
    look('felt-flange', 'Flange before its nuts', 'closes by hand all round', [
      'stands off',
      'never draw it in with the nuts: turn its drive until it closes'
    ])
  ),
  'support-bracket-on': proof(
    'XXRR',
    'machine',
    look('felt-bracket', 'Rear support, after the flange was tight', 'goes on without strain', [
      'has to be forced',
      'shim or slot it: a forced support breaks the case'
    ])
  ),
  'pump-oil-line-on': proof(
    'XXX-',
    'machine',
    look('felt-line', 'Oil line and its seal', 'fitted and tight', [
      'loose, or no seal',
      'a dry pump seizes: fit it first'
    ])
  ),
  'pump-locked': proof(
    'XXX-',
    'machine',
    look(
      'seen-lock',
      'Lock of the pump',
      ['out', 'in its running place'],
      ['still in', 'never turn the crank on it: take it out first']
    )
  ),
  'pump-gear-loose': proof('XXXR', 'machine'),
  'key-agreed': proof('XXX-', 'machine'),
  'taper-clean': proof(
    'XXX-',
    'machine',
    look('seen-cloth', 'White cloth over both tapers', 'stays clean and dry', [
      'oil or dirt on it',
      'clean both again and let them dry: an oily taper slips'
    ])
  ),
  'taper-prelim': proof('XXXX', 'machine'),
  'taper-final': proof(
    'XXXX',
    'machine',
    look('seen-lock-out', 'Lock and pin while it was tightened', 'out', [
      'one was in',
      'look at the lock for damage, take it out and prove the timing anew'
    ])
  ),
  'pump-timing-verified': proof('XXRK', 'result'),
  'lines-loose': proof(
    'XXX-',
    'person',
    look('felt-unions', 'Unions, one by one', 'each one tight', [
      'one is loose',
      'tighten it: it sprays fuel under pressure'
    ])
  )
};
