import { MAX_ZONES } from '@/core/measure/zones';
import type { StudyDocument } from '@/contracts/study';

type Values = StudyDocument['values'];

/** How near two thresholds may come to each other and to the ends, in Munsell steps. */
const APART = 0.1;

const rounded = (value: number) => Math.round(value * 100) / 100;

function byHand(values: Values, thresholds: readonly number[]): Values {
  return {
    ...values,
    breaks: 'hand',
    zones: thresholds.length + 1,
    thresholds: thresholds.map(rounded),
  };
}

/** Moves one of the thresholds that stand now (Munsell values, rising); it stops at its neighbours. */
export function moveThreshold(
  values: Values,
  standing: readonly number[],
  index: number,
  to: number,
): Values {
  const low = (standing[index - 1] ?? 0) + APART;
  const high = (standing[index + 1] ?? 10) - APART;
  const held = Math.min(Math.max(low, high), Math.max(low, to));
  return byHand(
    values,
    standing.map((threshold, i) => (i === index ? held : threshold)),
  );
}

/**
 * Another number of zones. By hand the widest zone is halved to make one more, and the two thresholds
 * nearest each other become the lower of them to make one less; other breaks are worked out anew.
 */
export function withZones(values: Values, zones: number): Values {
  if (values.breaks !== 'hand') return { ...values, zones };
  const thresholds = [...values.thresholds];
  while (thresholds.length + 1 < Math.min(MAX_ZONES, zones)) {
    const bounds = [0, ...thresholds, 10];
    const widths = bounds.slice(1).map((end, i) => end - bounds[i]);
    const widest = widths.indexOf(Math.max(...widths));
    thresholds.splice(widest, 0, (bounds[widest] + bounds[widest + 1]) / 2);
  }
  while (thresholds.length + 1 > zones && thresholds.length > 1) {
    const gaps = thresholds.slice(1).map((threshold, i) => threshold - thresholds[i]);
    thresholds.splice(gaps.indexOf(Math.min(...gaps)) + 1, 1);
  }
  return byHand(values, thresholds);
}

/** Another kind of break; by hand it begins with the thresholds that stand now. */
export function withBreaks(
  values: Values,
  breaks: Values['breaks'],
  standing: readonly number[],
): Values {
  return breaks === 'hand' ? byHand(values, standing) : { ...values, breaks };
}
