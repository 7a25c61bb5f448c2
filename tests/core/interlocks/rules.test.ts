import { describe, expect, it } from 'vitest';
import { CLAMPED, rules, ruleText } from '../../../src/core/job/rules.ts';

describe('every interlock, read aloud', () => {
  it.each([...rules, CLAMPED].map((r) => [r.id, r] as const))('%s forbids before it explains', (_, rule) => {
    const [never, because, ifItHappened] = Object.values(ruleText(rule));
    expect(never).toMatch(/^Never [a-z].*\.$/);
    // a second sentence would stand without its "never", and be heard as an order
    expect(never!.slice(0, -1)).not.toContain('.');
    expect(because).toMatch(/^Why: [A-Z].*\.$/);
    expect(ifItHappened).toMatch(/^If it happened: [A-Z].*\.$/);
  });
});
