import { z } from 'zod/mini';

/** What a person or a device prefers to see. Kept in a cookie, so that the server draws the same page. */
export interface Prefs {
  theme: 'system' | 'light' | 'dim';
  length: 'mm' | 'in' | 'thou';
  view: 'front' | 'rear';
}

export const defaultPrefs: Prefs = { theme: 'system', length: 'mm', view: 'front' };

const schema = z.object({
  theme: z.catch(z.enum(['system', 'light', 'dim']), 'system'),
  length: z.catch(z.enum(['mm', 'in', 'thou']), 'mm'),
  view: z.catch(z.enum(['front', 'rear']), 'front')
});

/** Reads the cookie; anything unreadable is the default. */
export function readPrefs(cookie: string | undefined): Prefs {
  if (!cookie) return defaultPrefs;
  try {
    return schema.parse(JSON.parse(cookie));
  } catch {
    return defaultPrefs;
  }
}
