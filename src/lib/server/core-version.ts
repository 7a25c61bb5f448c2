declare const __CORE_VERSION__: string | undefined;

/**
 * Names the core that derived rows were made with: a hash of its source, put in by the build. Where nothing is built
 * (scripts, tests) it is read off the source itself, so that both name the same core alike.
 */
export const CORE_VERSION: string =
  typeof __CORE_VERSION__ === 'string'
    ? __CORE_VERSION__
    : (await import('../../../scripts/lib/core-version.mjs')).coreVersion();
