import { byteOfLinear, LINEAR_OF_BYTE } from '../colour/srgb';
import { keptBox, toOriginal, type Framing } from './framing';
import { OPAQUE, type Picture } from './picture';

/**
 * The picture as its framing shows it. A plain crop copies pixels untouched; a turned one samples
 * bilinearly in linear light, and what the turning leaves empty is transparent. An unframed picture
 * comes back as it is, not copied.
 */
export function framePicture(picture: Picture, framing: Framing): Picture {
  if (framing.angle === 0 && framing.crop === null) return picture;
  const box = keptBox(framing, picture.width / picture.height);
  const width = Math.max(1, Math.round(box.width * picture.width));
  const height = Math.max(1, Math.round(box.height * picture.height));
  return framing.angle === 0
    ? cut(
        picture,
        Math.round(box.x * picture.width),
        Math.round(box.y * picture.height),
        width,
        height,
      )
    : turn(picture, framing, width, height);
}

function cut(picture: Picture, left: number, top: number, width: number, height: number): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  const x0 = Math.min(Math.max(0, left), picture.width - 1);
  const y0 = Math.min(Math.max(0, top), picture.height - 1);
  const wide = Math.min(width, picture.width - x0);
  for (let y = 0; y < Math.min(height, picture.height - y0); y++) {
    const from = ((y0 + y) * picture.width + x0) * 4;
    data.set(picture.data.subarray(from, from + wide * 4), y * width * 4);
  }
  return { width, height, data };
}

function turn(picture: Picture, framing: Framing, width: number, height: number): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  const aspect = picture.width / picture.height;
  // The map from framed to original is affine, so three corners give it for the whole loop.
  const origin = toOriginal({ x: 0.5 / width, y: 0.5 / height }, framing, aspect);
  const right = toOriginal({ x: 1.5 / width, y: 0.5 / height }, framing, aspect);
  const down = toOriginal({ x: 0.5 / width, y: 1.5 / height }, framing, aspect);
  const dxx = (right.x - origin.x) * picture.width;
  const dxy = (right.y - origin.y) * picture.height;
  const dyx = (down.x - origin.x) * picture.width;
  const dyy = (down.y - origin.y) * picture.height;
  const startX = origin.x * picture.width - 0.5;
  const startY = origin.y * picture.height - 0.5;
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      sample(
        picture,
        startX + x * dxx + y * dyx,
        startY + x * dxy + y * dyy,
        data,
        (y * width + x) * 4,
      );
    }
  }
  return { width, height, data };
}

/** Bilinear sample at pixel centres; transparent when any of the four pixels is missing or transparent. */
function sample(
  { width, height, data }: Picture,
  x: number,
  y: number,
  out: Uint8ClampedArray,
  at: number,
): void {
  // Half a pixel beyond the last centre is still picture: hold the edge there.
  if (x < -0.5 || y < -0.5 || x > width - 0.5 || y > height - 0.5) return;
  const heldX = Math.min(Math.max(x, 0), width - 1);
  const heldY = Math.min(Math.max(y, 0), height - 1);
  const x0 = Math.min(heldX | 0, Math.max(0, width - 2));
  const y0 = Math.min(heldY | 0, Math.max(0, height - 2));
  const fx = heldX - x0;
  const fy = heldY - y0;
  const a = (y0 * width + x0) * 4;
  const b = width > 1 ? a + 4 : a;
  const c = height > 1 ? a + width * 4 : a;
  const d = c + (b - a);
  if (data[a + 3] < OPAQUE || data[b + 3] < OPAQUE || data[c + 3] < OPAQUE || data[d + 3] < OPAQUE)
    return;
  const wa = (1 - fx) * (1 - fy);
  const wb = fx * (1 - fy);
  const wc = (1 - fx) * fy;
  const wd = fx * fy;
  for (let channel = 0; channel < 3; channel++) {
    out[at + channel] = byteOfLinear(
      LINEAR_OF_BYTE[data[a + channel]] * wa +
        LINEAR_OF_BYTE[data[b + channel]] * wb +
        LINEAR_OF_BYTE[data[c + channel]] * wc +
        LINEAR_OF_BYTE[data[d + channel]] * wd,
    );
  }
  out[at + 3] = 255;
}
