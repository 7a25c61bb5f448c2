import { tdcFit, type TdcFit } from '../../calculations/tdc/tdc-fit.ts';
import { FIXED, type Doubt, type Part, type Reach, type Remedy } from '../../job/narrow.ts';

/** A fit that was found, and what it was found from. */
export interface FitFound {
  result: TdcFit;
  input: Parameters<typeof tdcFit>[0];
}

/**
 * What makes up the doubt of a fit, and what would narrow it, worked out by the very sums that made the figure. Degrees.
 * @param used the dial that was read, which is nothing else to take instead
 */
export function fitDoubt({ input, result }: FitFound, used: string | undefined, reach: Reach): Doubt {
  // without the dial's own ± what is left is what the readings scatter
  const bare = tdcFit({ ...input, dial: { ...input.dial, accuracy: 0 } });
  const scattered = bare.ok ? bare.out.uDeg : result.uDeg;
  const parts: Part[] = [
    { name: 'how the readings lie about the curve', u: scattered },
    { name: FIXED, u: Math.sqrt(Math.max(0, result.uDeg ** 2 - scattered ** 2)) }
  ];
  const again = (change: Partial<typeof input>, what: string): Remedy[] => {
    const fit = tdcFit({ ...input, ...change });
    return fit.ok ? [{ what, u: fit.out.uDeg }] : [];
  };
  return {
    parts,
    remedies: [
      ...again({ readings: [...input.readings, ...input.readings] }, 'as many readings again'),
      ...reach('dial').flatMap((dial) =>
        dial.id === used ? [] : again({ dial }, `reading the dial ${dial.name} instead`)
      )
    ]
  };
}
