import type { MessagePort } from 'node:worker_threads';
import { keepMap } from '@/core/amplify/protect';
import { pushable, pushableLike, pushInPlace } from '@/core/amplify/pushed';
import { allowedMap } from '@/core/amplify/allowed';
import { measureSources } from '@/core/measure/sources';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { framedStrokes } from '@/core/picture/strokes';
import type { PushSettings } from '@/contracts/push-request';

/** What a push job says while it works. */
export type PushSaid = number | Picture;

/** A picture at the size it came in, to be pushed as its working copy is. */
export interface PushJob {
  original: Picture;
  working: Picture;
  development: Development;
  settings: PushSettings;
  /** Is told the share that is done, 0–1, after each tile, and at the end the picture. */
  port: MessagePort;
}

/** The original developed and pushed, a tile of rows at a time. */
export function pushJob({ original, working, development, settings, port }: PushJob): void {
  const picture = develop(original, development);
  const small = develop(working, development);
  const subject = pushableLike(picture, pushable(small));
  const { width, height } = picture;
  const strokes = framedStrokes(settings.parts, development.framing, original, picture);
  const allowed = allowedMap(settings.only, measureSources(small), {
    squint: settings.values.squint,
    zones: settings.values,
    corrections: framedStrokes(settings.corrections, development.framing, working, small),
  });
  const only = allowed && enlarged(allowed, small, picture);
  pushInPlace(
    subject,
    settings.push,
    (rows) => keepMap({ ...rows, width, height }, { ...settings.kept, strokes, only }),
    (share) => port.postMessage(share),
  );
  // Handed over, not copied: a large picture is hundreds of megabytes.
  port.postMessage(picture, [picture.data.buffer as ArrayBuffer]);
  port.close();
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
