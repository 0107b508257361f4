import sharp from 'sharp';
import type { DemoPicture, Model } from './picture';
import { plateFromBytes, type Plate } from './plate';

interface Drawing extends Omit<DemoPicture, 'model'> {
  /** Gradients. */
  defs: string;
  /** Shapes by mass, each over the ones before it; the first covers everything. */
  masses: readonly (readonly [name: string, shapes: string])[];
  /** What shapes can't do: glow, reflection, mist. */
  light: (plate: Plate) => void;
}

/** A picture composed of vector shapes under a light. */
export function drawn({ defs, masses, light, ...picture }: Drawing): DemoPicture {
  const { width, height } = picture;
  const render = (shapes: string, scale: number) =>
    sharp(
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.round(width * scale)}" height="${Math.round(height * scale)}" viewBox="0 0 ${width} ${height}" preserveAspectRatio="none"><defs>${defs}</defs>${shapes}</svg>`,
      ),
    )
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });

  const model = async (scale: number): Promise<Model> => {
    const whole = await render(masses.map(([, shapes]) => shapes).join(''), scale);
    const plate = plateFromBytes(whole.info.width, whole.info.height, whole.data, 4);
    light(plate);
    const map = new Uint8Array(plate.width * plate.height);
    for (let mass = 1; mass < masses.length; mass++) {
      const { data } = await render(masses[mass][1], scale);
      for (let p = 0; p < map.length; p++) if (data[p * 4 + 3] >= 128) map[p] = mass;
    }
    return { plate, masses: masses.map(([name]) => name), map };
  };
  return { ...picture, model };
}

/** A gradient for shapes, downward unless said otherwise. */
export function sky(
  id: string,
  stops: readonly (readonly [offset: number, colour: string])[],
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

export function line(points: string, stroke: string, width: number, more = ''): string {
  return `<path d="${points}" fill="none" stroke="${stroke}" stroke-width="${width}" ${more}/>`;
}

export function circle(x: number, y: number, r: number, fill: string): string {
  return `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}"/>`;
}

export function box(x: number, y: number, w: number, h: number, fill: string, more = ''): string {
  return `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" ${more}/>`;
}
