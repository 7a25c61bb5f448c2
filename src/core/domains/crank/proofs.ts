import { look, proof, type Proof } from '../../job/proof.ts';

const probeOut = look('seen-probe-out', 'Probe or stop', 'out of the cylinder, its tip whole', [
  'still in, or its tip is missing',
  'never turn the crank: take it out, find the tip'
]);

/** What proves the crank's reference. */
export const proofs: Record<string, Proof> = {
  'degree-wheel-on': proof(
    'XXX-',
    'person',
    look('seen-wheel-off', 'Degree wheel and pointer', 'off, in the tray', [
      'still on',
      'take them off: they are thrown when the engine turns by power'
    ])
  ),
  'probe-in': proof('XXX-', 'machine', probeOut),
  'piston-stop-in': proof('XXX-', 'machine', probeOut),
  'tdc-true': proof('XXKK', 'result'),
  'damper-verified': proof('XFKK', 'result'),
  'scale-made': proof('XXRK', 'result'),
  'compression-confirmed': proof('XXK-', 'result'),
  'crank-at-reference': proof('XXRR', 'result'),
  'slack-known': proof('KFKK', 'result'),
  'backlash-taken-up': proof('XXR-', 'result')
};
