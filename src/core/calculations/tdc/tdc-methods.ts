/** The accepted ways to find TDC, cheapest first. */
export const tdcMethods = ['mark', 'highest', 'rod', 'stop', 'pairs', 'fit'] as const;
export type TdcMethod = (typeof tdcMethods)[number];
/** Whether a word names one of the ways. */
export const isTdcMethod = (m: string): m is TdcMethod => (tdcMethods as readonly string[]).includes(m);
