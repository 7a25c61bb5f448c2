import type { JsonOf } from '../repositories/job-shown.ts';

const last = new Map<string, { json: string; value: unknown }>();
const MOST = 400;

/**
 * What is made of JSON that a key was given; the very same as before when the JSON says the same. Whoever works with it by
 * identity then need not work it out again. It must not be changed in place.
 */
export function unchanged<T, V>(key: string, json: JsonOf<T>, make: (told: T) => V): V {
  const before = last.get(key);
  const now = before?.json === json ? before : { json, value: make(JSON.parse(json) as T) };
  last.delete(key);
  last.set(key, now);
  if (last.size > MOST) last.delete(last.keys().next().value!);
  return now.value as V;
}
