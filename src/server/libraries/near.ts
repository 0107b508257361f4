import { sql, type SQL } from 'drizzle-orm';
import { ciede2000Of } from '@/core/colour/ciede2000';
import { labFromOklab, type Lab } from '@/core/colour/cielab';
import type { LibrarySearch } from '@/contracts/library-search';
import { swatch } from '../db/library-schema';
import { rows } from '../db/rows';

/** A swatch that is near enough, and how near (CIEDE2000). */
export interface Near {
  libraryId: string;
  id: string;
  distance: number;
}

/** The greatest SL of CIEDE2000, at L* 0 and 100: a distance leaves no room for a greater ΔL* than so many times itself. */
const MAX_SL = 1.7472;

/**
 * A condition that holds of every swatch within a CIEDE2000 distance of a colour, and of few others: a lower bound of
 * the distance, so that only what may be near need be fetched and measured.
 *
 * SL is exact. The chromas C′ are at most 1.5 C, since G is at most a half; with the greatest mean C′ that leaves, SC is
 * an upper bound of SC and of SH alike, and R_C one of the rotation's strength, which takes at most sin 60° · R_C / 2 of
 * the rest. ΔC′² + ΔH′² is at least Δa² + Δb².
 */
function maybeNear({ L, a, b }: Lab, within: number): SQL {
  const band = within * MAX_SL;
  const middle = sql`((${swatch.labL} + ${L}) / 2 - 50)`;
  const mean = sql`(0.75 * (sqrt(${swatch.labA} * ${swatch.labA} + ${swatch.labB} * ${swatch.labB}) + ${Math.hypot(a, b)}))`;
  const across = sql`((${swatch.labA} - ${a}) ^ 2 + (${swatch.labB} - ${b}) ^ 2)`;
  const lightness = sql`((${swatch.labL} - ${L}) / (1 + 0.015 * ${middle} ^ 2 / sqrt(20 + ${middle} ^ 2))) ^ 2`;
  const turned = sql`(1 - 0.8661 * sqrt(${mean} ^ 7 / (${mean} ^ 7 + 6103515625)))`;
  return sql`${swatch.labL} between ${L - band} and ${L + band}
    and ${lightness} + ${turned} * ${across} / (1 + 0.045 * ${mean}) ^ 2 <= ${within ** 2 * (1 + 1e-9)}`;
}

/** Swatches near the colour that is asked for; null where none is. */
export async function nearSwatches({ near }: LibrarySearch): Promise<Near[] | null> {
  if (!near) return null;
  const lab = labFromOklab(near.colour);
  // As one row: a row for each would cost twice as much to take over.
  const [{ band }] = await rows<{ band: [string, string, number, number, number][] | null }>(sql`
    select json_agg(json_build_array(${swatch.libraryId}, ${swatch.id}, ${swatch.labL}, ${swatch.labA}, ${swatch.labB})) as band
    from ${swatch} where ${maybeNear(lab, near.within)}`);
  const found: Near[] = [];
  for (const [libraryId, id, L, a, b] of band ?? []) {
    const distance = ciede2000Of(lab.L, lab.a, lab.b, L, a, b);
    if (distance <= near.within) found.push({ libraryId, id, distance });
  }
  return found;
}
