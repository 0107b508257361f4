import { readGuards } from '@/core/amplify/guards';
import { readHidden } from '@/core/amplify/hidden';
import { fineLabels, hiddenMapPicture, regionMap, regionOutlines } from '@/core/amplify/hidden-map';
import { NO_PUSH, type Push } from '@/core/amplify/push';
import { readValueLock } from '@/core/amplify/value-lock';
import { wheelOf, type WheelId } from '@/core/colour/wheel';
import { zoneEdges, zoneGreys } from '@/core/measure/zones';
import { copyPicture } from '@/core/picture/picture';
import { greyPicture } from '@/core/picture/value-map';
import { veil } from '@/core/picture/veil';
import type { Answers, VeilAnswers } from './answer';
import type { DerivedImages } from './derived-images';

/** No region has this label: all that is not the one asked for is dimmed. */
const NO_LABEL = 255;
const MAP_ZONES = 4;

/** The hidden colours with their labels on a finer grid. */
function labelled({ pushable }: DerivedImages, push: Push, wheel: WheelId) {
  const { cast, colours, labels } = readHidden(pushable(), push, wheelOf(wheel));
  return {
    cast,
    colours,
    fine: () => fineLabels(pushable().ground.grid, labels, colours.length),
  };
}

/** What the step Hidden is answered. */
export const hiddenAnswers = {
  pushed: ({ settings, quick }, { images }) =>
    copyPicture((quick ? images.half() : images).pushed(settings)),

  pushedGreys: ({ settings }, { images }) => greyPicture(images.pushed(settings)),

  hidden({ settings, wheel }, { images }) {
    const { cast, colours } = labelled(images, settings.push, wheel);
    return { cast, colours };
  },

  /** What the push does to the whole, and by how much the greys of both pictures differ. */
  guards({ settings }, { images }) {
    const pushed = images.pushed(settings);
    return {
      guards: readGuards(images.pushable(), pushed),
      lock: readValueLock(images.picture, pushed),
    };
  },

  /** The picture as flat regions by hue, over pale greys of its values. */
  hiddenMap({ settings, wheel }, { images }) {
    const { colours, fine } = labelled(images, settings.push, wheel);
    const through = images.through(settings.values.squint);
    const edges = zoneEdges(through.counts, { zones: MAP_ZONES, breaks: 'natural' });
    return hiddenMapPicture(
      zoneGreys(through, edges),
      regionMap(images.picture, fine()),
      colours.map(({ pushed }) => pushed),
    );
  },

  hiddenOutlines({ wheel }, { images }) {
    const { colours, fine } = labelled(images, NO_PUSH, wheel);
    return regionOutlines(fine(), colours.length);
  },
} satisfies Partial<Answers>;

/** A veil that leaves one hidden colour clear. */
export const hiddenVeils = {
  hidden({ index, wheel }, images) {
    const { width, height } = images.picture;
    const map = regionMap(images.picture, labelled(images, NO_PUSH, wheel).fine());
    return veil(map, width, height, (label) => label === index + 1, NO_LABEL);
  },
} satisfies Partial<VeilAnswers>;
