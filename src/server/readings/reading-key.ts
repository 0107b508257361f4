import type { StudyDocument } from '@/contracts/study';

/** Changes exactly when a stored reading of the study would come out differently. */
export function readingKey({ framing, neutral, values, lightAndShadow }: StudyDocument): string {
  return JSON.stringify([
    framing.angle,
    framing.crop,
    neutral?.cast ?? null,
    values.zones,
    values.breaks,
    values.breaks === 'hand' ? values.thresholds : null,
    values.squint,
    lightAndShadow.corrections.map(({ id: _, ...correction }) => correction),
  ]);
}
