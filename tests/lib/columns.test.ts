import fc from 'fast-check';
import { expect, it } from 'vitest';
import { fromColumns, toColumns } from '$lib/reader/columns.ts';

it('rows come out of their columns as they went in, whatever members each of them has', () => {
  const row = fc.dictionary(
    fc.constantFrom('kind', 'step', 'value', 'gauge', 'constructor'),
    fc.oneof(fc.string(), fc.double({ noNaN: true }), fc.constant(null), fc.record({ id: fc.string() }))
  );
  fc.assert(
    fc.property(fc.array(row), (rows) => {
      const plain = rows.map((r) => ({ ...r }));
      // as they arrive elsewhere, and as they stand here
      expect(fromColumns(structuredClone(toColumns(plain)))).toEqual(plain);
      expect(fromColumns(toColumns(plain))).toBe(plain);
    })
  );
});
