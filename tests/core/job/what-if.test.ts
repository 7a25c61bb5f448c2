import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NO_TRIAL, whatIf, type Line, type Trial } from '$core/domains/stack/what-if.ts';
import { lastPatch } from '$core/domains/stack/patch-work.ts';
import { engineWith, mm as inMm, PlayedJob, SHEET } from '../../support/played.ts';

/** Laws of the linked stack: what one change does follows from what the others leave alone. */
const job = (() => {
  const j = new PlayedJob(
    engineWith({
      ...SHEET,
      driveKind: 'own-gear',
      floatMinMm: '0.25',
      floatMaxMm: '0.60',
      pumpSlotDepthMm: '14',
      minEngagementMm: '8',
      minClearanceMm: '0.8',
      gasketMm: '0.6',
      gearPitchMm: '38.4',
      helixDeg: '38',
      backlashMm: '0.12',
      gearFaceMm: '26',
      floatLengthMm: '74',
      housingMetal: 'cast-iron',
      shaftMetal: 'steel',
      hotC: '90'
    }),
    'regear'
  );
  j.read('float', 'float-dial', '0.45');
  j.read('contact', 'patch-low', '7.6');
  j.read('contact', 'patch-high', '18.8');
  j.read('depth', 'length', '186.4');
  j.read('depth', 'drive-depth', '171.9');
  j.read('depth', 'offset', '3.2');
  return j;
})();
const lines = (t: Partial<Trial>): Map<string, Line> =>
  new Map(
    whatIf(job.engine, job.state.work.stack, lastPatch(job.state.work.patches), { ...NO_TRIAL, ...t }, inMm).map(
      (l) => [l.key, l]
    )
  );
const mm = fc.double({ min: 0, max: 1.5, noNaN: true });

describe('a trial on the stack', () => {
  it('shows float, depth, contact, wander and heat, each in its place', () => {
    expect([...lines({}).keys()]).toEqual(['float', 'engagement', 'clearance', 'patch', 'wander', 'hot']);
  });
  it('keeps engagement and clearance together as deep as the slot, whatever is turned down or left out', () => {
    fc.assert(
      fc.property(mm, fc.boolean(), (collarMm, gasket) => {
        const l = lines({ collarMm, gasket });
        expect(l.get('engagement')!.then + l.get('clearance')!.then).toBeCloseTo(14, 9);
        expect(l.get('engagement')!.then - l.get('engagement')!.now).toBeCloseTo(collarMm + (gasket ? 0 : 0.6), 9);
      })
    );
  });
  it('moves the contact on the tooth by just as much as the gear, and the float not at all by the collar', () => {
    fc.assert(
      fc.property(mm, (collarMm) => {
        const l = lines({ collarMm });
        const p = l.get('patch')!;
        expect(((p.then - p.now) / 100) * 26).toBeCloseTo(collarMm, 9);
        expect(l.get('float')!.then).toBe(l.get('float')!.now);
      })
    );
  });
  it('takes up with a shim as much float as it sets the gear deeper', () => {
    fc.assert(
      fc.property(mm, (shimMm) => {
        const l = lines({ shimMm });
        const p = l.get('patch')!;
        expect(l.get('float')!.now - l.get('float')!.then).toBeCloseTo(shimMm, 9);
        expect(((p.then - p.now) / 100) * 26).toBeCloseTo(shimMm, 9);
        expect(l.get('engagement')!.then).toBe(l.get('engagement')!.now);
      })
    );
  });
  it('lets the timing wander less the less float there is, never less than the backlash alone', () => {
    let last = Infinity;
    for (const shimMm of [0, 0.1, 0.2, 0.3, 0.4]) {
      const w = lines({ shimMm }).get('wander')!.then;
      expect(w).toBeLessThan(last);
      last = w;
    }
    const backlashAlone = (360 * 0.12) / (Math.PI * 38.4) / 0.5;
    expect(lines({ shimMm: 2 }).get('wander')!.then).toBeCloseTo(backlashAlone, 6);
  });
  it('names as newly out only what was not out before', () => {
    fc.assert(
      fc.property(mm, mm, fc.boolean(), (collarMm, shimMm, gasket) => {
        for (const l of lines({ collarMm, shimMm, gasket }).values()) {
          expect(l.fallsOut).toBe(l.stateThen === 'out' && l.stateNow !== 'out');
          expect(Number.isFinite(l.then)).toBe(true);
        }
      })
    );
    expect(lines({ shimMm: 0.3 }).get('float')!.fallsOut).toBe(true);
    expect(lines({ collarMm: 2.9 }).get('clearance')!.fallsOut).toBe(true);
    expect(lines({ shimMm: 0.5 }).get('hot')!.stateThen).toBe('out');
  });
  it('loses float in a cast housing embraced by steel collars as it warms, by the difference of the metals', () => {
    const hot = lines({}).get('hot')!;
    // housing between collars: cold less 74 mm · (10.8 - 11.7)e-6 · 70 K, which is a gain of 4.7 µm
    expect(hot.now - 0.45).toBeCloseTo(0.00466, 4);
  });
});
