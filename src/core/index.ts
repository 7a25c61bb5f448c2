// Calculations by name
export { registry, runCalc, inputSchema } from './registry/registry.ts';
export type { Calc } from './registry/define.ts';
export type { CalcError, Result } from './errors/result.ts';
export type { ErrorCode } from './errors/catalogue.ts';
