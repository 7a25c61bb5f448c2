import type { Chart, ChartConfiguration } from 'chart.js';

/**
 * Draws a chart on a canvas once its library is here, each in a task of its own, so that several on a page do not hold it
 * up together. Answers how to take it off again.
 */
export function chartOn(
  canvas: HTMLCanvasElement,
  config: () => ChartConfiguration<'scatter'>,
  made: (chart: Chart) => void
): () => void {
  let gone = false;
  let chart: Chart | undefined;
  void import('./chart-setup.ts').then(({ Chart }) =>
    setTimeout(() => {
      if (gone) return;
      chart = new Chart(canvas, config() as ChartConfiguration);
      made(chart);
    })
  );
  return () => {
    gone = true;
    chart?.destroy();
  };
}

/**
 * Does something once the page has shown its next frame, in a task of its own: what the same word changes elsewhere on the
 * page is there first, and is not held up. Answers how to leave it undone.
 */
export function afterFrame(act: () => void): () => void {
  let later: ReturnType<typeof setTimeout> | undefined;
  const frame = requestAnimationFrame(() => (later = setTimeout(act)));
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(later);
  };
}
