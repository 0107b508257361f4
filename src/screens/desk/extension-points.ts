/**
 * What a step adds to the Desk's vocabulary. A step declares its own kinds beside itself, by merging
 * into these interfaces, so that no list of all steps' kinds is kept anywhere:
 *
 *     declare module '../../extension-points' {
 *       interface FocusKinds { zone: { index: number } }
 *     }
 */

/** The parts of the picture that a sentence, bar or swatch can speak of. */
export interface FocusKinds {
  swatch: { id: string };
  masses: { which: readonly number[] };
  /** In fractions of the framed picture, the radius a share of its diagonal. */
  place: { x: number; y: number; radius: number };
}

export type Focus = { [K in keyof FocusKinds]: { kind: K } & FocusKinds[K] }[keyof FocusKinds];
export type FocusOf<K extends keyof FocusKinds> = Extract<Focus, { kind: K }>;

/** The tools; `look` is none of them. */
export interface ToolKinds {
  look: true;
  brush: true;
  lasso: true;
}
export type Tool = keyof ToolKinds;

/** Whether two findings speak of the same part. */
export function sameFocus(one: Focus | null, other: Focus): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
