/** A line of a drawing: what it means (a class of drawing.css or `cut`, for a face that is cut through), where it runs, and for which part alone it is drawn. */
export type Line = readonly [cls: 'body' | 'line' | 'thin' | 'cut' | 'dash' | 'hub', d: string, onlyFor?: string];

/** Where a part is touched, the side on which its name stands, and the area that answers for it when it is touched. */
export interface At {
  x: number;
  y: number;
  side: 'left' | 'right';
  zone?: string;
}

/** A place of the trade as it is drawn: 560 wide, its names in the outer columns. */
export interface PlaceDrawing {
  title: string;
  height: number;
  lines: readonly Line[];
  at: Readonly<Record<string, At>>;
  /** words of the drawing itself: which end is which */
  texts?: readonly (readonly [x: number, y: number, text: string])[];
}

export const WIDTH = 560;
/** where the names' columns end, left and right */
export const [LEFT, RIGHT] = [176, 384];

/** A circle as a path. */
export const ring = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;

/** A rectangle as a path. */
export const box = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}Z`;

/** Slanting teeth on the side of a gear. */
export const teeth = (x: number, y: number, w: number, h: number, n = 5): string =>
  Array.from({ length: n }, (_, k) => `M${x + ((k + 0.2) * w) / n} ${y + h}l${(0.6 * w) / n} ${-h}`).join('');

/** The place of a part: `distributor` of `distributor.clamp`. */
export const placeOf = (part: string): string => part.split('.')[0]!;
export const partOf = (part: string): string => part.split('.')[1]!;

/** Characters that a column of names has room for. */
const COLUMN = 27;
/** Words in lines that the column of names has room for; a word longer than that stands alone. */
export function inColumn(text: string): string[] {
  const out: string[] = [];
  for (const word of text.split(' ')) {
    const last = out[out.length - 1];
    if (last !== undefined && last.length + 1 + word.length <= COLUMN) out[out.length - 1] = `${last} ${word}`;
    else out.push(word);
  }
  return out;
}
