import { randomBytes } from 'node:crypto';

/** A name as it is kept: one way of writing each character, single spaces, none at the ends. Names are compared as names. */
export const asName = (name: string): string => name.normalize('NFC').trim().replace(/\s+/g, ' ');

/** An id for something that is called so: readable where the name is, and nobody can guess it. */
export const newId = (name: string): string =>
  [slug(name).slice(0, 24), randomBytes(8).toString('hex')].filter(Boolean).join('-');

/** What of a name can stand in an address: `Lock 4 pump` → `lock-4-pump`; nothing of a name in other letters. */
export function slug(name: string): string {
  return name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
}
