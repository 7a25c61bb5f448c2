/** An object whose members are worked out once, when they are first read. */
export function onDemand<T extends object>(makers: { [K in keyof T]: () => T[K] }): T {
  const out = {} as T;
  for (const key of Object.keys(makers) as (keyof T)[]) {
    let made: { value: T[typeof key] } | null = null;
    Object.defineProperty(out, key, { enumerable: true, get: () => (made ??= { value: makers[key]() }).value });
  }
  return out;
}
