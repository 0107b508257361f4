import type { MessagePort } from 'node:worker_threads';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { framedStrokes } from '@/core/picture/strokes';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import { deriveImages } from '../browser/derived-images';
import { madePicture } from '../browser/made-picture';

/** A picture at the size it came in, to be made into what its working copy is made into on the Desk. */
export interface MadeJob {
  original: Picture;
  working: Picture;
  development: Development;
  query: MadeQuery;
  /** Is told the picture. */
  port: MessagePort;
}

/** The original made by what is read of the working copy: its masses, its light and shadow. */
export function madeJob({ original, working, development, query, port }: MadeJob): void {
  const small = develop(working, development);
  const images = deriveImages(small, (strokes) =>
    framedStrokes(strokes, development.framing, working, small),
  );
  const picture = madePicture(images, query, develop(original, development));
  // Handed over, not copied: a large picture is hundreds of megabytes.
  port.postMessage(picture, [picture.data.buffer as ArrayBuffer]);
  port.close();
}
