import type { Plate } from './plate';

/** What is known of a picture because it was made so: what readings of it are held against. */
export interface Known {
  key: 'low' | 'middle' | 'high';
  range: 'short' | 'medium' | 'full';
  /** Families of the painters' wheel that hold most of the coloured area, the largest first. */
  families: readonly string[];
  /** The scheme it was composed in. */
  harmony: string;
  /** The family that turns up in lights, middles and darks alike. */
  keyColour: string;
  light: { from: string; what: string };
  /** Whether the light is warmer or cooler than the shadow, by the colours that were laid down. */
  lightIs: 'warmer' | 'cooler' | 'alike' | 'mixed';
  /** What the whole was pulled toward, in OKLab a and b; null where no cast was laid over it. */
  cast: readonly [a: number, b: number] | null;
  /** Small colours that a plain average loses, each as one of the masses. */
  accents: readonly string[];
  /** Colours barely off neutral, each with its place: what an amplifier should find. */
  hidden: readonly { family: string; place: string }[];
}

/** A picture before its last hand: its colours, and which mass each pixel is of. */
export interface Model {
  plate: Plate;
  masses: readonly string[];
  /** For each pixel the index of its mass. */
  map: Uint8Array;
}

/** One of the demo's pictures. Names, places and makers are made up, as everything here is. */
export interface DemoPicture {
  /** File name without its ending. */
  file: string;
  type: 'webp' | 'jpeg';
  title: string;
  maker: string;
  kind: 'master work' | 'photograph' | 'own work';
  source: string;
  /** The colour idea in one line: what the picture was made over for until it held. */
  idea: string;
  width: number;
  height: number;
  known: Known;
  /** `scale` 1 is full size. */
  model: (scale: number) => Promise<Model> | Model;
  /** Brush, press or lens. */
  finish: (plate: Plate) => Plate;
}
