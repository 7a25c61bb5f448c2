import type { Engine } from '$core/engine/engine.ts';
import type { stateOf } from '$core/sheets/index.ts';
import { picture, type CurvePicture } from '$lib/reader/curve-picture.ts';

export interface CardCurve {
  picture: CurvePicture;
  title: string;
  /** what the marks are, for who reads it on paper */
  key: string;
}

/** The curve that a job leaves behind, beside the one it found and the target it said; null where none was swept. */
export function cardCurve(state: ReturnType<typeof stateOf>, engine: Engine): CardCurve | null {
  const sweeps = (state.work.sweeps ?? []).filter((s) => s.points.some((p) => p.deg !== null));
  const [found, last] = [sweeps[0], sweeps[sweeps.length - 1]];
  if (!found || !last) return null;
  const target = state.replayed.target?.points ?? [];
  const drawn = picture(engine, last, {
    ghost: found === last ? [] : picture(engine, found).up,
    target: target.map((t) => ({ x: t.rpm, y: t.deg }))
  });
  const key = [
    'Black: read going up.',
    drawn.down.length ? 'White: coming down.' : '',
    drawn.band ? 'Shaded: the limits of the data sheet.' : 'The data sheet has no limits for it.',
    drawn.ghost.length ? 'Grey: as it was found.' : '',
    drawn.target.length ? 'Rings: the target.' : ''
  ];
  return {
    picture: drawn,
    title: last.bench
      ? 'Advance run on the bench, crank degrees over engine speed'
      : 'Timing, degrees before TDC, no vacuum',
    key: key.filter((k) => k !== '').join(' ')
  };
}
