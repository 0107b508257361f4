import type { MessagePort } from 'node:worker_threads';
import { keepMap } from '@/core/amplify/protect';
import { pushable, pushableLike, pushedRows, rowsOf } from '@/core/amplify/pushed';
import { reachMap } from '@/core/amplify/reach';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { squint } from '@/core/picture/squint';
import { framedStrokes } from '@/core/picture/strokes';
import { sightOf } from '@/core/picture/value-map';
import type { PushAsked } from '@/contracts/push-order';

/** A picture at the size it came in, to be pushed as its working copy is. */
export interface PushJob {
  original: Picture;
  working: Picture;
  development: Development;
  asked: PushAsked;
  /** Is told the share that is done, 0–1, after each tile. */
  port: MessagePort;
}

/** Rows pushed at once: bounds what is held beside the picture itself. */
const TILE = 128;

/** The original developed and pushed, a tile of rows at a time. */
export function pushJob({ original, working, development, asked, port }: PushJob): Picture {
  const picture = develop(original, development);
  const small = develop(working, development);
  const subject = pushableLike(picture, pushable(small));
  const { width, height } = picture;
  const strokes = framedStrokes(asked.parts, development.framing, original, picture);
  const reach = reachMap(asked.only, sightOf(squint(small, asked.values.squint)), {
    zones: asked.values,
    corrections: framedStrokes(asked.corrections, development.framing, working, small),
  });
  const only = reach && enlarged(reach, small, picture);
  const out = new Uint8ClampedArray(picture.data.length);
  for (let from = 0; from < height; from += TILE) {
    const rows = rowsOf(subject, from, Math.min(height, from + TILE));
    const keep = keepMap({ ...rows, width, height }, { ...asked.kept, strokes, only });
    out.set(pushedRows(subject, rows, asked.push, keep), from * width * 4);
    port.postMessage(rows.to / height);
  }
  port.close();
  return { width, height, data: out };
}

/** A map of a small picture at the size of a large one: each pixel as the one that lies there. */
function enlarged(
  map: Uint8Array,
  small: Pick<Picture, 'width' | 'height'>,
  { width, height }: Pick<Picture, 'width' | 'height'>,
): Uint8Array {
  const out = new Uint8Array(width * height);
  for (let y = 0, p = 0; y < height; y++) {
    const row = Math.min(small.height - 1, Math.floor(((y + 0.5) * small.height) / height));
    for (let x = 0; x < width; x++, p++)
      out[p] =
        map[
          row * small.width +
            Math.min(small.width - 1, Math.floor(((x + 0.5) * small.width) / width))
        ];
  }
  return out;
}
