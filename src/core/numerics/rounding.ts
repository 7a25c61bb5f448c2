/** To the nearest whole number, a half away from zero; never minus nothing. */
export const roundAway = (x: number): number => Math.sign(x) * Math.floor(Math.abs(x) + 0.5 + 1e-9) || 0;
