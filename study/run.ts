import { runUncertainty } from './uncertainty.ts';

/**
 * `npm run study [-- --trials N --seed S]`: counts anew and writes docs/uncertainty.md with its plots.
 * `npm run study -- guidance [--engines N --seed S]`: plays every job anew and writes docs/guidance.md.
 */
const asked = (name: string, usual: number): number => {
  const at = process.argv.indexOf(name);
  const given = at < 0 ? usual : Number(process.argv[at + 1]);
  if (!Number.isInteger(given) || given < 1) throw new Error(`${name} takes a whole number above 0`);
  return given;
};
if (process.argv.includes('guidance')) {
  const { runGuidance } = await import('./guidance/run.mts');
  await runGuidance({ n: asked('--engines', 200), seed: asked('--seed', 7) });
} else {
  await runUncertainty(asked('--trials', 4000), asked('--seed', 1));
}
