import { meanParts, meanRemedies, type Doubt, type NamedGauge, type Part, type Remedy } from '../../job/narrow.ts';
import type { SettingRow } from './timing-work.ts';

const partsOf = (row: SettingRow, markKnown: boolean): Part[] => [
  ...meanParts(
    row.counted.map((r) => r.value),
    row.gauge
  ),
  ...(markKnown ? [{ name: 'where true TDC lies', u: row.uMark }] : [])
];

/**
 * What makes up a setting’s doubt, and what would narrow it: more readings, other gauges within reach, a hand that is known,
 * and what would narrow true TDC where the sheet looked for it. Degrees of the crank.
 * @param ofTdc what could be done about true TDC, each with the standard uncertainty it would then have; degrees
 */
export function settingDoubt(
  row: SettingRow,
  markKnown: boolean,
  reach: readonly NamedGauge[],
  ofTdc: readonly Remedy[]
): Doubt {
  const of = meanRemedies(
    row.counted.map((r) => r.value),
    row.gauge,
    reach,
    { rest: row.uMark, gaugeId: row.counted[0]?.gauge?.id }
  );
  const tdc = ofTdc.map(({ what, u }) => ({ what: `at true TDC, ${what}`, u: Math.hypot(row.uReading, u) }));
  return { parts: partsOf(row, markKnown), remedies: [...of, ...tdc] };
}
