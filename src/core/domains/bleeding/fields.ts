import { quantity } from '../../engine/fields.ts';

const speed = <const N extends string>(name: N, label: string, example: string) =>
  quantity('Injection pump', 'speed', name, label, example, { positive: true, max: 10000 });

/** Values of the data sheet. */
export const fields = [
  speed('idleMinRpm', 'Idle, slowest that is good', '620 rpm'),
  speed('idleMaxRpm', 'Idle, fastest that is good', '680 rpm')
];
