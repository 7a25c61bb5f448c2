import { z } from 'zod/mini';

/** What a person or a device prefers to see. Kept in a cookie, so that the server draws the same page. */
export interface Prefs {
  theme: 'system' | 'light' | 'dim';
  length: 'mm' | 'in' | 'thou';
  view: 'front' | 'rear';
  /** the workshop's time zone: nobody's own, but every page needs it beside these */
  zone: string;
}

export const defaultPrefs: Prefs = { theme: 'system', length: 'mm', view: 'front', zone: 'UTC' };

const schema = z.object({
  theme: z.catch(z.enum(['system', 'light', 'dim']), 'system'),
  length: z.catch(z.enum(['mm', 'in', 'thou']), 'mm'),
  view: z.catch(z.enum(['front', 'rear']), 'front')
});

/** Reads the cookie; anything unreadable is the default. */
export function readPrefs(cookie: string | undefined, zone: string): Prefs {
  if (!cookie) return { ...defaultPrefs, zone };
  try {
    return { ...schema.parse(JSON.parse(cookie)), zone };
  } catch {
    return { ...defaultPrefs, zone };
  }
}
