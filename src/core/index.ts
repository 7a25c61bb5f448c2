// Calculations by name
export { registry, runCalc, inputSchema, outputSchema } from './calculations/registry.ts';
export type { Calc } from './calculations/define.ts';
export type { CalcError, Result } from './errors/result.ts';
export type { ErrorCode } from './errors/catalogue.ts';
