import { fail } from '../errors/catalogue.ts';
import { ok, type Result } from '../errors/result.ts';
import { readingParse } from '../calculations/reading/reading-parse.ts';
import type { Part, PartKind } from '../tray/part-kinds.ts';
import { unitsOf, type Quantity, type Unit } from '../units/units.ts';
import type { EventInput } from './event-input.ts';
import type { EventBody, GaugeRef } from './events.ts';

type WithoutId<T> = T extends unknown ? Omit<T, 'id'> : never;
/** An event as it is said at the bench: figures as typed, parts and gauges by their place in the tray. */
export type Draft = WithoutId<EventInput>;

/** A gauge of the tray, whose scatter may not be known. */
type HeldBy = Omit<GaugeRef, 'scatter' | 'scatterDof'> & {
  scatter?: number | null | undefined;
  scatterDof?: number | null | undefined;
};

/** What has to be looked up to understand a draft; undefined where there is no such thing. */
export interface Lookup {
  gauge: (id: string) => (HeldBy & { perRevMm?: number | null }) | undefined;
  part: (id: string, kind: PartKind) => Part | undefined;
  /** the quantity of a reading that an amendment replaces */
  quantityOf: (readingId: string) => Quantity | undefined;
}

/**
 * Turns what was typed into an event, for screen, server, demo and tests alike: a figure is read with the reading grammar
 * and the dial of its gauge, the gauge and the parts are kept as they are now.
 * Errors: those of `reading.parse`; `no-such-gauge`, `no-such-reading`, `out-of-stock`.
 */
export function understand(draft: Draft, tray: Lookup): Result<EventBody> {
  if (draft.kind === 'take') {
    const { step, part, items } = draft;
    const parts = items.map((id) => tray.part(id, part));
    const missing = items.find((_, k) => parts[k] === undefined);
    return missing === undefined
      ? ok({ kind: 'take', step, part, parts: parts as Part[] })
      : fail('out-of-stock', 'items', { part, item: missing });
  }
  if (draft.kind !== 'reading' && draft.kind !== 'amend') return ok(draft as EventBody);
  const quantity = draft.kind === 'reading' ? draft.quantity : tray.quantityOf(draft.replaces);
  if (!quantity) return fail('no-such-reading', 'replaces', {});
  const gauge = draft.gaugeId === null ? null : tray.gauge(draft.gaugeId);
  if (gauge === undefined) return fail('no-such-gauge', 'gaugeId', {});
  const units = unitsOf[quantity] as readonly Unit[];
  const read = readingParse({
    text: draft.text,
    quantity,
    defaultUnit: units.find((u) => u === draft.defaultUnit) ?? units[0]!,
    ...(gauge?.perRevMm ? { perRevMm: gauge.perRevMm } : {})
  });
  if (!read.ok) return read;
  const { gaugeId: _, defaultUnit: __, ...rest } = draft;
  return ok({ ...rest, ...read.out, gauge: gauge && gaugeRef(gauge) } as EventBody);
}

const gaugeRef = ({ id, name, kind, resolution, accuracy, scatter, scatterDof }: HeldBy): GaugeRef => ({
  id,
  name,
  ...(kind ? { kind } : {}),
  resolution,
  accuracy,
  ...(scatter == null ? {} : { scatter, ...(scatterDof == null ? {} : { scatterDof }) })
});
