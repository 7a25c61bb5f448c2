import { describe, expect, it } from 'vitest';
import { manifests } from '$core/domains/all.ts';
import { ruleText } from '$core/job/rules.ts';

const rules = manifests.flatMap((m) => m.rules);

describe('every interlock, read aloud', () => {
  it.each(rules.map((r) => [r.id, r] as const))('%s forbids before it explains', (_, rule) => {
    const [never, because, ifItHappened] = Object.values(ruleText(rule));
    expect(never).toMatch(/^Never [a-z].*\.$/);
    // a second sentence would stand without its "never", and be heard as an order
    expect(never!.slice(0, -1)).not.toContain('.');
    expect(because).toMatch(/^Why: [A-Z].*\.$/);
    expect(ifItHappened).toMatch(/^If it happened: [A-Z].*\.$/);
  });
});
