import { keepMap } from '@/core/amplify/protect';
import { pushable, pushableLike, pushedRows, rowsOf, type Pushable } from '@/core/amplify/pushed';
import { allowedMap } from '@/core/amplify/allowed';
import { once } from '@/core/once';
import type { Blocks } from '@/core/picture/blocks';
import { halfSizePicture } from '@/core/picture/half-size';
import type { Picture } from '@/core/picture/picture';
import type { Stroke } from '@/core/picture/strokes';
import { readFocus, type FocusReading } from '@/core/measure/focus';
import { measureSources, type MeasureSources } from '@/core/measure/sources';
import type { PushSettings } from '@/contracts/push-request';

/** Keeps what was last made, for settings that a key is made of. */
function keyed<T, R>(keyOf: (settings: T) => string, make: (settings: T) => R): (settings: T) => R {
  let kept: { key: string; made: R } | null = null;
  return (settings) => {
    const key = keyOf(settings);
    if (kept?.key !== key) kept = { key, made: make(settings) };
    return kept.made;
  };
}

/** A developed picture and what is made of it for its measures, each when it is first wanted. */
export interface DerivedImages extends MeasureSources {
  /** Strokes on the original as strokes on this picture. */
  framed: <T extends Stroke>(strokes: readonly T[]) => T[];
  pushable: () => Pushable;
  /** With its quiet colours brought up; the last is kept. */
  pushed: (settings: PushSettings) => Picture;
  focus: () => FocusReading;
  /** The same at half the size: quick enough to follow a hand. */
  half: () => DerivedImages;
}

/** `ready` makes the picture ready to be pushed. */
export function deriveImages(
  picture: Picture,
  framed: DerivedImages['framed'],
  ready: (picture: Picture, blocks: () => Blocks) => Pushable = (of, blocks) =>
    pushable(of, null, blocks),
): DerivedImages {
  const sources = measureSources(picture);
  const subject = once(() => ready(picture, sources.blocks));
  const rows = once(() => rowsOf(subject()));

  const keep = keyed(
    ({ kept, parts, only, values, corrections }: PushSettings) =>
      JSON.stringify([kept, parts, only, only.kind === 'all' ? null : [values, corrections]]),
    ({ kept, parts, only, values, corrections }: PushSettings) =>
      keepMap(
        { ...rows(), width: picture.width, height: picture.height },
        {
          ...kept,
          strokes: framed(parts),
          only: allowedMap(only, sources, {
            squint: values.squint,
            zones: values,
            corrections: framed(corrections),
          }),
        },
      ),
  );
  const pushed = keyed(
    (settings: PushSettings) => JSON.stringify(settings),
    (settings: PushSettings): Picture => ({
      width: picture.width,
      height: picture.height,
      data: pushedRows(subject(), rows(), settings.push, keep(settings)),
    }),
  );
  return {
    ...sources,
    framed,
    pushable: subject,
    pushed,
    focus: once(() => readFocus(sources.grid())),
    half: once(() =>
      deriveImages(halfSizePicture(sources.blocks()), framed, (small) =>
        pushableLike(small, subject()),
      ),
    ),
  };
}
