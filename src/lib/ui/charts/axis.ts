import { colour } from '../theme/palette.ts';

const font = { family: 'Encode Sans Variable', size: 13 };

/** An axis of any chart in the theme's colours. */
export const axisLook = (title: string) => ({
  title: { display: true, text: title, color: colour('--ink-2'), font },
  ticks: { color: colour('--ink'), font },
  grid: { color: colour('--hair') },
  border: { color: colour('--ink'), width: 1.5 }
});
