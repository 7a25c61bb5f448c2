import { jobs as more } from './more.mts';
import { jobA, jobB, jobC, jobD, type Run } from './spark.mts';

/** Every kind of job that is played, by its letter; each takes the seed of its engine. */
export const jobs: Record<string, (seed: number) => Run> = { a: jobA, b: jobB, c: jobC, d: jobD, ...more };
