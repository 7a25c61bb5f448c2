import { look, proof, type Proof } from '../../job/proof.ts';

/** What proves the states of a two-stroke whose cylinders are timed each by itself. */
export const proofs: Record<string, Proof> = {
  'spark-outlet-grounded': proof(
    'XXX-',
    'person',
    look('seen-gaps', 'Leads', 'each on its own gap, tester grounded', [
      'one hangs free',
      'put it on a gap: it shocks, and burns its module'
    ])
  ),
  'depth-table': proof('XXRR', 'result'),
  'marks-complete': proof('XXFK', 'machine'),
  'cylinders-matched': proof('XXR-', 'result'),
  'throttle-at-stop': proof(
    'XXX-',
    'person',
    look('seen-throttle', 'Lever and arm', 'both seen at idle', [
      'still open',
      'close it and see it close: it starts at full speed'
    ])
  ),
  'arm-on-stop': proof(
    'XXR-',
    'machine',
    look('seen-arm', 'Timing arm, moved from the lever', 'on its stop', [
      'short of its stop',
      'set the linkage until the lever brings it there'
    ])
  ),
  'full-advance-set': proof('XXRK', 'machine'),
  'water-on': proof(
    'XXX-',
    'machine',
    look('seen-water', 'Cooling water', 'runs before it starts', [
      'does not run',
      'open it: the pump burns within a minute'
    ])
  )
};
