import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip
} from 'chart.js';

// only what is drawn is registered; this module is loaded by views that show a chart, when they show it
Chart.register(Filler, LinearScale, LineController, LineElement, PointElement, ScatterController, Tooltip);

export { Chart };
