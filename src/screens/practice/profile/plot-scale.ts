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
import { inkOf } from '@/ui/plot-ink';

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

export const inkScale = (title: string, ticks: { autoSkip?: boolean } = {}) => ({
  ticks: {
    color: inkOf('--soft'),
    maxTicksLimit: ticks.autoSkip === false ? undefined : 7,
    ...ticks,
  },
  grid: { color: inkOf('--line') },
  title: { display: title !== '', text: title },
});
