import type { Dwell } from '../../calculations/tdc/tdc-dwell.ts';
import { degText, plusMinus, type LengthText } from '../../job/texts.ts';

/** Why the recommended depth, or why none is good enough. */
export function dwellText(d: Dwell, len: LengthText): string {
  const flat = `This dial sees nothing move over ${degText(d.dwellDeg)} about the top.`;
  if (d.recommended)
    return `${flat} Read at ${len(d.recommended.dropMm, 2)} down (${d.recommended.angleDeg}° before): wheel and dial then leave ${plusMinus(d.recommended.uDeg)}° in a pair, the hand comes on top.`;
  return `${flat} ${d.reason === 'wheel-too-coarse' ? 'The wheel is too coarse for a good pair at any depth.' : 'The dial is too coarse: take a finer one or a positive stop.'}`;
}
