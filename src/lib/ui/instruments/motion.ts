/** A rectangle of a drawing, in its units. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** How far a part has moved from where it is drawn: shifted, then turned about its point, then stretched along its own height. */
export interface Motion {
  /** in the drawing's units, right and down */
  shift?: { x: number; y: number };
  /** degrees, clockwise */
  turn?: number;
  /** times its height */
  stretch?: number;
}

const percent = (part: number, of: number, digits: number) => `${((100 * part) / of).toFixed(digits)}%`;

/** Where a part's box lies in its drawing, and the point it turns and stretches about, as CSS. */
export function placeOf(box: Box, drawing: { width: number; height: number }, about: { x: number; y: number }) {
  return {
    left: percent(box.x, drawing.width, 4),
    top: percent(box.y, drawing.height, 4),
    width: percent(box.width, drawing.width, 4),
    height: percent(box.height, drawing.height, 4),
    origin: `${percent(about.x - box.x, box.width, 3)} ${percent(about.y - box.y, box.height, 3)}`
  };
}

/** A motion as a CSS transform of a box. */
export function transformOf(m: Motion, box: Box): string {
  const said = [];
  if (m.shift) said.push(`translate(${percent(m.shift.x, box.width, 2)}, ${percent(m.shift.y, box.height, 2)})`);
  if (m.turn !== undefined) said.push(`rotate(${m.turn.toFixed(2)}deg)`);
  if (m.stretch !== undefined) said.push(`scaleY(${m.stretch.toFixed(4)})`);
  return said.join(' ');
}
