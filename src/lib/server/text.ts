import { Refusal } from './errors.ts';

// what no field can hold: NUL and the other control characters, and halves of a character that stand alone. Tab and line
// ends are text of their own in what may run over several lines
const UNFIT = /[^\P{Cc}\t\n\r]/u;
const UNFIT_IN_LINE = /\p{Cc}/u;

/** Whether a text can be kept and shown: no control characters, and whole characters only. */
export const isClean = (text: string, lines = false): boolean =>
  !(lines ? UNFIT : UNFIT_IN_LINE).test(text) && text.isWellFormed();

export const unclean = (path: string): Refusal =>
  new Refusal(
    422,
    'bad-text',
    `${path ? `${path}: ` : ''}this text holds a character that cannot be written or shown. Type it again by hand.`,
    path
  );

/** How deep a body may be nested. The deepest that any route or calculation takes has eight levels. */
const DEEPEST = 32;

/** Refuses a text of JSON that is nested deeper than anything here takes, before it is parsed: what walks it may recurse. */
export function mustBeShallow(json: string): void {
  let depth = 0;
  let quoted = false;
  for (let k = 0; k < json.length; k++) {
    const c = json[k];
    if (quoted) {
      if (c === '\\') k++;
      else if (c === '"') quoted = false;
    } else if (c === '"') quoted = true;
    else if (c === '[' || c === '{') {
      if (++depth > DEEPEST)
        throw new Refusal(
          422,
          'too-deep',
          `The body is nested deeper than ${DEEPEST} levels: nothing here takes that.`
        );
    } else if (c === ']' || c === '}') depth--;
  }
}

/** Refuses a value in which a text or a name is not clean, wherever it stands in it. */
export function mustBeClean(value: unknown, path = ''): void {
  const left: [unknown, string][] = [[value, path]];
  while (left.length > 0) {
    const [x, at] = left.pop()!;
    if (typeof x === 'string') {
      if (!isClean(x, true)) throw unclean(at);
    } else if (typeof x === 'object' && x !== null)
      for (const [k, v] of Object.entries(x)) {
        if (!isClean(k)) throw unclean(at);
        left.push([v, at ? `${at}.${k}` : k]);
      }
  }
}
