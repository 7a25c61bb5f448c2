import type { z } from 'zod';
import { EPS } from '../../numerics/angles.ts';
import type { gearCompareInput } from './schemas.ts';

export interface Finding {
  code: string;
  severity: 'stop' | 'warn' | 'note';
}
type Input = z.infer<typeof gearCompareInput>;
type Gear = Input['old'];

const moduleOf = (g: Gear): number | undefined => g.moduleMm ?? (g.dp === undefined ? undefined : 25.4 / g.dp);

/**
 * A new drive gear against the old one, and against the camshaft it will run on. What differs stops; what cannot be
 * compared is said; the camshaft's maker has the last word, and that is always noted.
 */
export function gearCompare(i: Input): { ok: boolean; findings: Finding[] } {
  const { old, new: fresh } = i;
  const findings: Finding[] = [
    ...both('teeth', old.teeth, fresh.teeth, (a, b) => a !== b),
    ...both('hand', old.hand, fresh.hand, (a, b) => a !== b),
    ...both('module', moduleOf(old), moduleOf(fresh), (a, b) => Math.abs(b - a) > 0.01 * a + EPS),
    ...where('bore-differs', old.boreMm, fresh.boreMm, (a, b) => Math.abs(b - a) > 0.02 + EPS),
    ...where(
      'outside-diameter-differs',
      old.outsideDiameterMm,
      fresh.outsideDiameterMm,
      (a, b) => Math.abs(b - a) > 0.005 * a + EPS
    ),
    ...material(i.camMaterial, i.gearMaterial),
    { code: 'confirm-with-cam-maker', severity: 'note' }
  ];
  return { ok: findings.every((f) => f.severity !== 'stop'), findings };
}

function both<T>(field: string, a: T | undefined, b: T | undefined, differs: (a: T, b: T) => boolean): Finding[] {
  if (a === undefined || b === undefined) return [{ code: `not-compared:${field}`, severity: 'warn' }];
  return differs(a, b)
    ? [{ code: `${field === 'teeth' ? 'teeth-differ' : `${field}-differs`}`, severity: 'stop' }]
    : [];
}

function where(
  code: string,
  a: number | undefined,
  b: number | undefined,
  differs: (a: number, b: number) => boolean
): Finding[] {
  return a !== undefined && b !== undefined && differs(a, b) ? [{ code, severity: 'stop' }] : [];
}

function material(cam: Input['camMaterial'], gear: Input['gearMaterial']): Finding[] {
  if (gear === 'bronze') return [{ code: 'sacrificial-gear', severity: 'warn' }];
  const clash = cam === 'steel' ? 'cast-iron' : 'hardened-steel';
  return gear === clash ? [{ code: 'material-clash', severity: 'stop' }] : [];
}
