import type { Oklab } from '../colour/oklab';
import { framePicture } from './frame';
import type { Framing } from './framing';
import { takeOutCast } from './neutral';
import type { Picture } from './picture';

/** What the person has said about the picture before it is measured; the original stays as it is. */
export interface Development {
  framing: Framing;
  /** The colour of something that ought to be grey, or null. */
  cast: Oklab | null;
}

/** The picture that every reading is made on: framed first, then freed of its cast. */
export function develop(picture: Picture, { framing, cast }: Development): Picture {
  const framed = framePicture(picture, framing);
  return cast ? takeOutCast(framed, cast) : framed;
}
