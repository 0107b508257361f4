import { readGuards, type GuardReading } from '@/core/amplify/guards';
import { readHidden, type HiddenReading } from '@/core/amplify/hidden';
import { fineLabels, hiddenMapPicture, regionMap, regionOutlines } from '@/core/amplify/hidden-map';
import { NO_PUSH } from '@/core/amplify/push';
import { readValueLock, type ValueLock } from '@/core/amplify/value-lock';
import { wheelOf, type WheelId } from '@/core/colour/wheel';
import { zoneEdges, zoneGreys } from '@/core/measure/zones';
import type { Place } from '@/core/picture/framing';
import type { Picture } from '@/core/picture/picture';
import { greyPicture } from '@/core/picture/value-map';
import { veil } from '@/core/picture/veil';
import type { PushSettings } from '@/contracts/push-request';
import type { DerivedImages } from './derived-images';

/** A hidden colour's list without the cells, which stay here. */
export type HiddenList = Omit<HiddenReading, 'labels'>;

/** No region has this label: all that is not the one asked for steps back. */
const NO_LABEL = 255;
const MAP_ZONES = 4;

/** What the Desk's worker is asked in the step Hidden. */
export function hiddenCalls(held: () => DerivedImages, handOver: (picture: Picture) => Picture) {
  const copy = ({ width, height, data }: Picture) =>
    handOver({ width, height, data: data.slice() });
  const read = ({ push }: PushSettings, wheel: WheelId) => {
    return readHidden(held().pushable(), push, wheelOf(wheel));
  };

  return {
    /** `quick` is for following a hand: at half the size. */
    pushed: (asked: PushSettings, quick: boolean): Picture =>
      copy((quick ? held().half() : held()).pushed(asked)),

    readHidden(asked: PushSettings, wheel: WheelId): HiddenList {
      const { cast, colours } = read(asked, wheel);
      return { cast, colours };
    },

    readGuards: (asked: PushSettings): GuardReading =>
      readGuards(held().pushable(), held().pushed(asked)),

    /** By how much the greys of both pictures differ. */
    readValueLock: (asked: PushSettings): ValueLock =>
      readValueLock(held().picture, held().pushed(asked)),

    pushedGreys: (asked: PushSettings): Picture => handOver(greyPicture(held().pushed(asked))),

    /** The picture as flat regions by lean, over pale greys of its values. */
    hiddenMap(asked: PushSettings, wheel: WheelId): Picture {
      const { picture, through, pushable } = held();
      const { colours, labels } = read(asked, wheel);
      const sight = through(asked.values.squint);
      const greys = zoneGreys(
        sight,
        zoneEdges(sight.counts, { zones: MAP_ZONES, breaks: 'natural' }),
      );
      const map = regionMap(picture, fineLabels(pushable().ground.grid, labels, colours.length));
      return handOver(
        hiddenMapPicture(
          greys,
          map,
          colours.map(({ pushed }) => pushed),
        ),
      );
    },

    hiddenOutlines(wheel: WheelId): Place[][][] {
      const subject = held().pushable();
      const { colours, labels } = readHidden(subject, NO_PUSH, wheelOf(wheel));
      return regionOutlines(
        fineLabels(subject.ground.grid, labels, colours.length),
        colours.length,
      );
    },
  };
}

/** A veil that leaves one hidden colour clear. */
export function hiddenVeil(
  { picture, pushable }: DerivedImages,
  index: number,
  wheel: WheelId,
): Picture {
  const { labels, colours } = readHidden(pushable(), NO_PUSH, wheelOf(wheel));
  const map = regionMap(picture, fineLabels(pushable().ground.grid, labels, colours.length));
  return veil(map, picture.width, picture.height, (label) => label === index + 1, NO_LABEL);
}
