import { sql, type SQL } from 'drizzle-orm';
import type { Lab } from '@/core/colour/cielab';
import { swatch } from '../db/library-schema';

/** The greatest SL of CIEDE2000, at L* 0 and 100: a distance leaves no room for a greater ΔL* than so many times itself. */
const MOST_SL = 1.7472;

/**
 * A condition that holds of every swatch within a CIEDE2000 distance of a colour, and of few others: a lower bound of
 * the distance, so that only what may be near need be fetched and measured.
 *
 * SL is exact. The chromas C′ are at most 1.5 C, since G is at most a half; with the greatest mean C′ that leaves, SC is
 * an upper bound of SC and of SH alike, and R_C one of the rotation's strength, which takes at most sin 60° · R_C / 2 of
 * the rest. ΔC′² + ΔH′² is at least Δa² + Δb².
 */
export function maybeNear({ L, a, b }: Lab, within: number): SQL {
  const band = within * MOST_SL;
  const middle = sql`((${swatch.labL} + ${L}) / 2 - 50)`;
  const mean = sql`(0.75 * (sqrt(${swatch.labA} * ${swatch.labA} + ${swatch.labB} * ${swatch.labB}) + ${Math.hypot(a, b)}))`;
  const across = sql`((${swatch.labA} - ${a}) ^ 2 + (${swatch.labB} - ${b}) ^ 2)`;
  const lightness = sql`((${swatch.labL} - ${L}) / (1 + 0.015 * ${middle} ^ 2 / sqrt(20 + ${middle} ^ 2))) ^ 2`;
  const turned = sql`(1 - 0.8661 * sqrt(${mean} ^ 7 / (${mean} ^ 7 + 6103515625)))`;
  return sql`${swatch.labL} between ${L - band} and ${L + band}
    and ${lightness} + ${turned} * ${across} / (1 + 0.045 * ${mean}) ^ 2 <= ${within ** 2 * (1 + 1e-9)}`;
}
