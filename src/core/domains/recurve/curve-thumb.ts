/** A rule of thumb, and named as one: what load, fuel and use speak for. Load and fuel that knock outweigh liveliness. */
export function curveThumb(said: ReadonlyMap<string, string>): { option: string; because: string; advice: string } {
  const found = (...asked: [id: string, is: string, words: string][]) =>
    asked.flatMap(([id, is, words]) => (said.get(id) === is ? [words] : [])).join(' and ');
  const slow = found(['load', 'heavy', 'heavy loads'], ['fuel', 'poor', 'poor fuel']);
  const fast = found(['load', 'light', 'light loads'], ['use', 'changing', 'changing speeds']);
  if (slow)
    return {
      option: 'slow',
      because: `a rule of thumb for ${slow}`,
      advice: 'Begin slow, and with less total until a load test allows more.'
    };
  if (fast)
    return {
      option: 'fast',
      because: `a rule of thumb for ${fast}`,
      advice: 'The advance may come early, as long as idle stays below its start.'
    };
  return {
    option: 'mixed',
    because: 'for general use, a rule of thumb',
    advice: 'Take the middle, and let a load test decide.'
  };
}
