import sharp from 'sharp';
import type { Manner } from './paint';
import { plateFromBytes, type Plate } from './plate';

export interface Scene {
  /** File name of the picture without its ending. */
  file: string;
  title: string;
  /** Made-up, as everything here is. */
  maker: string;
  kind: 'master work' | 'photograph' | 'own work';
  source: string;
  /** The colour idea in one line: what the picture was repainted for until it held. */
  idea: string;
  width: number;
  height: number;
  /** Shapes and gradients, on a view box of `width` × `height`. */
  shapes: string;
  /** What shapes can't do: glow, reflection, mist. */
  light: (plate: Plate) => void;
  manner: Manner;
}

/** A scene's shapes under its light, before it is painted: `scale` 1 is full size. */
export async function modelOf(scene: Scene, scale: number): Promise<Plate> {
  const width = Math.round(scene.width * scale);
  const height = Math.round(scene.height * scale);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${scene.width} ${scene.height}" preserveAspectRatio="none">${scene.shapes}</svg>`;
  const { data, info } = await sharp(Buffer.from(svg))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const plate = plateFromBytes(info.width, info.height, data, info.channels);
  scene.light(plate);
  return plate;
}

/** A vertical gradient for shapes. */
export function sky(
  id: string,
  stops: readonly [offset: number, colour: string][],
  x2 = 0,
  y2 = 1,
): string {
  const list = stops
    .map(([offset, colour]) => `<stop offset="${offset}" stop-color="${colour}"/>`)
    .join('');
  return `<linearGradient id="${id}" x1="0" y1="0" x2="${x2}" y2="${y2}">${list}</linearGradient>`;
}

export function shape(points: string, fill: string, more = ''): string {
  return `<path d="${points}" fill="${fill}" ${more}/>`;
}
