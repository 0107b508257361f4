import type { Area } from '@/contracts/colour';

/** A place as it stands in an address: x, y and radius with commas between. */
export function placeQuery({ x, y, radius }: Area): string {
  return [x, y, radius].map((n) => n.toFixed(5)).join(',');
}

/** The Desk's address of a place in a study's picture. */
export function placeHref(studyId: string, area: Area): string {
  return `/desk/${studyId}?step=palette&at=${placeQuery(area)}`;
}
