/** Slots that read one thing: both flanks of a stop, and the mark under a strobe. */
const SAME: Readonly<Record<string, string>> = {
  before: 'flank',
  after: 'flank',
  strobe: 'idle-mark',
  'after-clamp': 'idle-mark',
  'base-before': 'idle-mark'
};

/**
 * What is read in a slot, as far as the scatter of a hand goes: repeats, the same read backwards and the same read in doubt
 * are one. A hand that scatters at the flanks of a stop tells nothing of the same gauge on a rotor.
 * @example readsOf('element-again')  // 'element'
 */
export function readsOf(slot: string): string {
  const bare = slot.replace(/(-(again|back|unsure))+$/, '');
  return SAME[bare] ?? bare;
}
