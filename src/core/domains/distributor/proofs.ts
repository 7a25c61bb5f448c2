import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the states of the distributor on its engine. */
export const proofs: Record<string, Proof> = {
  'distributor-out': proof('XXX-', 'machine'),
  'unit-ready': proof(
    'XXRR',
    'result',
    look('felt-turns', 'Shaft turned by hand', 'free, no tight place', [
      'tight or rough',
      'find out why before it is driven by the engine'
    ])
  ),
  'rotor-pin-in': proof(
    'XXX-',
    'machine',
    look('seen-lock-pin', 'Lock pin', 'out, in my hand', ['still in', 'draw it: it shears on the first turn']),
    look(
      'felt-rotor',
      'Rotor',
      ['turns against its springs', 'moves in the slack of its drive'],
      ['does not move', 'something still holds it: look for a second pin']
    )
  ),
  'gear-lubed': proof(
    'XXX-',
    'machine',
    look(
      'seen-gear-wet',
      'Flanks of the gear',
      ['wet with assembly lubricant', 'wet with what the maker of gear or camshaft asks for'],
      [
        'dry, or wet with something else',
        'wet them all round with the right lubricant: a dry gear scuffs in its first turns'
      ]
    )
  ),
  'gasket-fitted': proof(
    'XXRR',
    'result',
    look('seen-seal', 'Seal', 'the right one, the right way up', [
      'doubtful, or damaged',
      'take a sound one of the thickness used in the sums'
    ])
  ),
  'pump-shaft-present': proof(
    'XXRR',
    'machine',
    look(
      'seen-pump-shaft',
      'Oil-pump shaft',
      ['seen in the bore, at its depth', 'the pump is driven otherwise'],
      ['not seen, or too low', 'look for it in the case before anything turns; no shaft is no oil']
    )
  ),
  'oil-drive-prealigned': proof(
    'KKKK',
    'result',
    look('seen-slot', 'Slot of the oil pump', 'stands as the tang will', [
      'stands otherwise',
      'turn it on with the blade, or let the crank turn it until it drops'
    ])
  ),
  'gear-meshed': proof(
    'XXR-',
    'result',
    look('felt-mesh', 'Rotor turned by hand', 'only slack and springs give', [
      'turns on freely',
      'it is not in mesh: lift it and lower it again'
    ])
  ),
  'oil-drive-engaged': proof(
    'XXXR',
    'machine',
    look('felt-down', 'Clamp slack, pushed down', 'down on its face, no spring back', [
      'stands high or springs back',
      'never pull it down with the clamp: turn the crank on until it drops'
    ])
  ),
  'distributor-seated': proof(
    'XXXR',
    'machine',
    look('felt-gap', 'Thinnest blade under the flange', 'does not enter anywhere', [
      'enters',
      'never clamp it down: find what holds it up'
    ]),
    look('felt-float', 'Gear end pulled and pushed', 'float is felt', [
      'no float',
      'it bottoms: take it out and look at shims, gasket and pump drive'
    ])
  ),
  'cap-off': {
    ...proof(
      'XXX-',
      'person',
      look('seen-cap', 'Cap', 'latched in its notch on both sides', [
        'does not sit',
        'take it off and find its notch: the rotor strikes a cap that is askew'
      ])
    ),
    off: true
  },
  'leads-fitted': proof(
    'XXX-',
    'person',
    look('seen-leads', 'Each lead traced to its cylinder', 'all in firing order from number one', [
      'one is elsewhere',
      'put it on its tower, then trace all of them again'
    ])
  ),
  'clamp-snug': proof(
    'XXX-',
    'machine',
    look('felt-clamp', 'Housing', 'turns only on purpose', [
      'turns by itself, or not at all',
      'tighten or ease the clamp until it turns only on purpose'
    ])
  ),
  'clamp-final': proof('XXRR', 'machine'),
  'witness-marks': proof(
    'XXR-',
    'result',
    look('seen-marks', 'Marks', 'housing to engine, and rotor to something fixed', [
      'one is missing',
      'make it before the clamp is loosened'
    ])
  ),
  'leads-mapped': proof('XFX-', 'result'),
  'unit-compared': proof('XFKR', 'machine')
};
