// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { domains, manifests } from '$core/domains/all.ts';
import { jobState } from '$core/job/index.ts';
import { runSheets } from '$core/sheets/index.ts';
import { dataSheetFields } from '$core/sheets/data-sheet.ts';
import { gaugeKinds } from '$core/tray/gauge-kinds.ts';
import { drawn } from '$lib/ui/surfaces/load.ts';
import { engineWith, SHEET } from '../support/played.ts';

const sorted = (xs: Iterable<string>) => [...xs].sort();

describe('what the manifests say', () => {
  it('is drawn: every surface has a drawing, and no drawing belongs to none', async () => {
    const said = manifests.flatMap((m) => m.surfaces as readonly string[]);
    expect(sorted(said)).toEqual(sorted(await drawn()));
  });
  it('is said once: no two trades give a field, a figure, a flag, a slot or a rule the same name', () => {
    for (const part of ['figures', 'flags', 'hazards', 'slots'] as const) {
      const names = manifests.flatMap((m) => Object.keys(m[part] ?? {}));
      expect(
        names.filter((n, k) => names.indexOf(n) !== k),
        part
      ).toEqual([]);
    }
    const rules = manifests.flatMap((m) => m.rules.map((r) => r.id));
    expect(rules.filter((n, k) => rules.indexOf(n) !== k)).toEqual([]);
    const fields = dataSheetFields.map((f) => f.name);
    expect(fields.filter((n, k) => fields.indexOf(n) !== k)).toEqual([]);
  });
  it('stands on what there is: limits on fields of their quantity, figures that are settled, gauges that there are', () => {
    const fieldOf = new Map(dataSheetFields.map((f) => [f.name as string, f]));
    const figures = new Set(manifests.flatMap((m) => Object.keys(m.figures ?? {})));
    let limits = 0;
    for (const m of manifests)
      for (const [name, slot] of Object.entries(m.slots ?? {})) {
        for (const field of Object.values(slot.limits ?? {})) {
          expect(fieldOf.get(field)?.quantity, `${m.name} ${name} ${field}`).toBe(slot.quantity);
          limits++;
        }
        if (slot.figure) expect(figures, `${m.name} ${name}`).toContain(slot.figure);
        if (slot.gauge) expect([...Object.keys(gaugeKinds), 'eye'], `${m.name} ${name}`).toContain(slot.gauge);
      }
    expect(limits).toBeGreaterThan(8);
  });
});

const surfaces = await drawn();
describe.each(runSheets.map((s) => [s.id, s] as const))('the run sheet %s', (_, sheet) => {
  it('works out everything that its trades work out with the domains it names, those they need, and no other', () => {
    const mine = domains.filter((d) => sheet.domains.includes(d.name));
    const state = jobState(sheet, engineWith(SHEET), [], mine);
    for (const d of state.domains) {
      for (const w of Object.keys(d.works)) expect(() => (state.work as Record<string, unknown>)[w]).not.toThrow();
    }
    for (const step of sheet.steps) {
      expect(surfaces).toContain(step.surface);
      const owner = manifests.find((m) => (m.surfaces as readonly string[]).includes(step.surface))!;
      expect(
        state.domains.map((d) => d.name),
        step.id
      ).toContain(owner.name);
    }
  });
});
