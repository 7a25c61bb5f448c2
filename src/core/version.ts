/** Raised when a calculation or the reading of a log changes, so that derived rows made before are known as such. */
export const CORE_VERSION = '2';
