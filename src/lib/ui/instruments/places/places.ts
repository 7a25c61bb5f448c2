import type { PlaceDrawing } from './place.ts';

// a place is the file of its name: nothing else has to know it
const files = import.meta.glob<{ place: PlaceDrawing }>('./*.place.ts', { eager: true });
const drawings = new Map(Object.entries(files).map(([path, f]) => [/([\w-]+)\.place/.exec(path)![1]!, f.place]));

/** How a place is drawn; undefined: it has no drawing. */
export const drawingOf = (place: string): PlaceDrawing | undefined => drawings.get(place);
