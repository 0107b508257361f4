import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
);

/** A neutral of the surround, read when it is drawn: a canvas knows no variables. */
export const colourOf = (name: string) => () =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

export const inkScale = (title: string, ticks: { autoSkip?: boolean } = {}) => ({
  ticks: {
    color: colourOf('--soft'),
    maxTicksLimit: ticks.autoSkip === false ? undefined : 7,
    ...ticks,
  },
  grid: { color: colourOf('--line') },
  title: { display: title !== '', text: title },
});
