import type { Manifest, TrendRow } from './manifest.ts';
import { figureText } from './figure-text.ts';
import type { LengthText } from './texts.ts';

/** A figure that makes a line in an engine's history. */
export interface Trend {
  key: string;
  title: string;
  /** what one job found, in words */
  text: (row: TrendRow, len: LengthText) => string;
}

/** The lines of the history that trades declare, in the order of the trades. */
export const trendsIn = (manifests: readonly Manifest[]): Trend[] =>
  manifests.flatMap((m) =>
    Object.entries(m.figures).flatMap(([key, f]) => {
      if (f.trend === undefined) return [];
      const own = m.trendText?.[key];
      return [{ key, title: f.trend, text: own ?? ((r, len) => figureText(f.kind, r.value, r.u, len)) }];
    })
  );

/** Keys of the figures that later jobs on the engine are judged with. */
export const judgedWith = (manifests: readonly Manifest[]): string[] =>
  manifests.flatMap((m) => Object.entries(m.figures).flatMap(([key, f]) => (f.earlier ? [key] : [])));
