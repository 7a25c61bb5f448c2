import type { Person } from '$core/job/index.ts';
import { query } from '../db/pool.ts';
import { Refusal, violated } from '../errors.ts';
import { asName, newId } from './ids.ts';

export type PersonRow = { id: string; name: string; role: string };

export const people = () => query<PersonRow>('people', 'SELECT id, name, role FROM person ORDER BY name');

export async function personById(id: string): Promise<Person | null> {
  const [row] = await query<PersonRow>('person-by-id', 'SELECT id, name, role FROM person WHERE id = $1', [id]);
  return row ? { id: row.id, name: row.name } : null;
}

export async function addPerson(name: string, role = 'technician', id = newId(name)): Promise<Person> {
  try {
    const [row] = await query<PersonRow>(
      'person-add',
      'INSERT INTO person (id, name, role) VALUES ($1, $2, $3) RETURNING id, name, role',
      [id, asName(name), role]
    );
    return { id: row!.id, name: row!.name };
  } catch (e) {
    if (violated(e))
      throw new Refusal(
        409,
        'name-taken',
        `There is a ${asName(name)} already: choose the name from the list.`,
        'name'
      );
    throw e;
  }
}
