import { Refusal } from './errors.ts';
import { isClean, unclean } from './text.ts';

const MOST_FIELDS = 500;

/**
 * The fields of a form that was posted, as text. What is no form, what is broken, a file where text is meant, and text
 * that cannot be kept are each refused with a sentence; nothing of it reaches a schema.
 */
export async function readForm(request: Request): Promise<Record<string, string>> {
  let form: FormData;
  try {
    form = await request.formData();
  } catch (e) {
    if ((e as { status?: number }).status === 413) throw new Refusal(413, 'too-large', 'The form is too large.');
    throw new Refusal(400, 'bad-form', 'The form did not arrive whole. Load the page again and send it once more.');
  }
  const out: Record<string, string> = {};
  let n = 0;
  for (const [name, value] of form) {
    if (++n > MOST_FIELDS) throw new Refusal(413, 'too-large', 'The form has too many fields.');
    if (typeof value !== 'string')
      throw new Refusal(
        422,
        'bad-form',
        `A file was sent where text is meant (${isClean(name) ? name : 'a field'}).`,
        name
      );
    if (!isClean(name)) throw unclean('');
    if (!isClean(value)) throw unclean(name);
    // of two fields of one name the last counts, as in a form that is filled in twice
    if (name !== '__proto__') out[name] = value;
  }
  return out;
}
