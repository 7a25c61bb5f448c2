import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the states of the whole engine. */
export const proofs: Record<string, Proof> = {
  'data-confirmed': proof(
    'XXK-',
    'result',
    look('seen-plates', 'Plates of engine and unit', 'as on the data sheet', [
      'other than the data sheet',
      'put the data sheet right before anything is worked out from it'
    ])
  ),
  'vehicle-secured': proof(
    'XXX-',
    'person',
    look(
      'seen-blocked',
      'Wheels or stand',
      ['blocked', 'stand locked', 'fixed, it cannot roll'],
      ['not blocked', 'block the wheels or lock the stand']
    ),
    look(
      'seen-neutral',
      'Gearbox and what it drives',
      ['in neutral, disengaged', 'nothing is driven'],
      ['in gear, or driven', 'take it out of gear, or disengage what it drives']
    ),
    look('felt-still', 'Pushed', 'does not roll, swing or tip', [
      'it moves',
      'block it again until it does not roll, swing or tip'
    ])
  ),
  'battery-isolated': proof(
    'XXXR',
    'person',
    look(
      'seen-lead',
      'Way of starting it',
      [
        'earth lead off and tied back',
        'isolator open, its key with me',
        'air or spring starter let down',
        'it has no starter'
      ],
      ['still connected', 'take the earth lead off and tie it back before a hand goes in']
    ),
    look(
      'tried-start',
      'Start tried',
      ['nothing', 'it has none to try'],
      ['it turned', 'find what still feeds the starter, and take that off too']
    )
  ),
  'fuel-disabled': proof(
    'XXX-',
    'person',
    look(
      'seen-fuel',
      'Fuel',
      [
        'tap shut, or line off and plugged',
        'pump fuse out, injectors unplugged',
        'stop lever held at stop',
        'nothing to shut: bare engine, no fuel'
      ],
      ['open', 'shut it, or a turn of the crank fills a cylinder']
    )
  ),
  'plugs-out': proof(
    'XKK-',
    'machine',
    look('seen-plugs', 'On the tray', 'one for each cylinder', [
      'fewer',
      'take the others out too, or turn it only as far as needed and never by the nose bolt'
    ]),
    look('felt-stays', 'Crank let go', 'stays where it is left', [
      'moves by itself',
      'find which cylinder still holds pressure'
    ])
  ),
  'barring-tool-fitted': proof(
    'XXX-',
    'person',
    look('seen-bar-off', 'Barring tool', 'off, in the tray', [
      'still on the crank',
      'take it off: it is thrown when the engine turns by power'
    ])
  ),
  'engine-pin-in': proof(
    'XXX-',
    'machine',
    look('seen-pin-out', 'Timing pin', 'out, in the tray', ['still in', 'draw it: the crank breaks it and its housing'])
  ),
  'openings-covered': proof(
    'XXX-',
    'machine',
    look('seen-covers', 'Openings', 'each one plugged', ['one stands open', 'plug it before any part is moved over it'])
  ),
  'oil-primed': proof(
    'XXRR',
    'machine',
    look(
      'seen-oil',
      'Oil',
      ['pressure steady, oil at the highest outlet', 'neither new nor drained: not needed'],
      [
        'no pressure, or none at the top',
        'prime on; look for the pump\u2019s sense of rotation and a leak on its suction side'
      ]
    )
  ),
  'sweep-done': proof(
    'XXX-',
    'person',
    look('seen-round', 'Walked round it', 'nothing on or in it, guards on, levels right', [
      'something is left',
      'take it off or put it right, then walk round again'
    ]),
    look('named-stop', 'Way of stopping it', 'named, and in reach', [
      'not in reach',
      'name who stops it and by what, and put that in reach'
    ])
  ),
  'engine-running': proof(
    'XXX-',
    'person',
    look('seen-still', 'Crank', 'seen still', ['still turning', 'wait until it stands: hands stay away']),
    look('seen-off', 'Switch or stop', 'off, or held at stop', ['still on', 'switch it off, or hold it at stop'])
  ),
  'ignition-live': proof(
    'XXXR',
    'person',
    look(
      'seen-dead',
      'Ignition',
      ['switch off, tester dark', 'none: it fires by itself'],
      ['still live', 'switch off, key out, and look at the tester again']
    )
  ),
  'oil-pressure-up': proof(
    'XXXR',
    'machine',
    look('seen-pressure', 'Oil pressure after the start', 'came up in time', [
      'did not come up',
      'stop it at once; look for an oil drive that is not engaged, and prime again'
    ])
  ),
  'log-closed': proof('XXX-', 'result')
};
