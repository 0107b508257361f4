import type { StyleRemoval } from './style-paints';
import type { DrawingSize } from './view-box';

/** One place of a drawing where a colour is written. */
export interface PaintUse {
  /** `#rrggbb`. */
  hex: string;
  /** In the drawing's text, from `start` up to before `end`. */
  start: number;
  end: number;
  /** As it is written; empty for none. */
  alpha: string;
  property: string;
  /** The element that it stands at, by its number; null in a style sheet. */
  element: number | null;
}

export interface DrawingElement {
  name: string;
  /** What a person calls it: its label or id; empty for neither. */
  label: string;
  /** The number of the element it is in; null for the first. */
  parent: number | null;
}

/** A vector drawing whose colours can be changed, and nothing else. */
export interface Drawing {
  text: string;
  paints: PaintUse[];
  elements: DrawingElement[];
  /** CSS pixels, and the box of its own units that it shows. */
  size: DrawingSize;
  /** What could run or be fetched: left out of whatever is written. */
  removals: StyleRemoval[];
}
