import { zoneEdges } from '@/core/measure/zones';
import { copyPicture, type Picture } from '@/core/picture/picture';
import { valueOfEdge } from '@/core/picture/value-map';
import { heldValues } from '@/core/transfer/figures';
import { heldPicture } from '@/core/transfer/held';
import { moodEffect, moodPicture } from '@/core/transfer/moods';
import { proposals } from '@/core/transfer/proposals';
import { strictPicture } from '@/core/transfer/strict';
import { NO_MASS, subjectOf, type Subject } from '@/core/transfer/subject';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import type { Answers } from './answer';
import type { DerivedImages } from './derived-images';

/** The subject of each picture as it was read last: it stands while colours are tried on it. */
const subjects = new WeakMap<Picture, { squint: number; subject: Subject }>();

function subjectIn(images: DerivedImages, squint: number): Subject {
  const known = subjects.get(images.picture);
  if (known?.squint === squint) return known.subject;
  const subject = subjectOf(images, squint);
  subjects.set(images.picture, { squint, subject });
  return subject;
}

/** The same masses at half the size. */
const halves = new WeakMap<Subject, Subject>();

function half(images: DerivedImages, subject: Subject, squint: number): Subject {
  const known = halves.get(subject);
  if (known) return known;
  const small = subjectOf(images, squint, images.half().picture);
  halves.set(subject, small);
  return small;
}

function made(
  { colours, of, mode, values, quick }: Omit<QueryOf<'transferred'>, 'kind'>,
  images: DerivedImages,
): { picture: Picture; missed: number } {
  const whole = subjectIn(images, values.squint);
  const subject = quick ? half(images, whole, values.squint) : whole;
  const chosen = whole.masses.map((_, mass) =>
    Math.min(colours.length - 1, Math.max(0, of[mass] ?? 0)),
  );
  if (mode === 'held') return { picture: heldPicture(subject, colours, chosen), missed: 0 };
  const edges = zoneEdges(images.plain().counts, values);
  return strictPicture(subject, colours, chosen, edges);
}

/** What the step Use is answered. */
export const transferAnswers = {
  subject: ({ squint }, { images }) => subjectIn(images, squint).masses,

  massAt({ squint, place }, { images }) {
    const { picture, field } = subjectIn(images, squint);
    const x = Math.min(picture.width - 1, Math.max(0, Math.floor(place.x * picture.width)));
    const y = Math.min(picture.height - 1, Math.max(0, Math.floor(place.y * picture.height)));
    const mass = field.first[y * picture.width + x];
    return mass === NO_MASS ? null : mass;
  },

  proposals({ squint, colours, locks }, { images }) {
    const subject = subjectIn(images, squint);
    return proposals({ ...subject, colours, locks }).map(({ kind, of }) => ({
      kind,
      of,
    }));
  },

  transferred: (query, { images }) => copyPicture(made(query, images).picture),

  transferFigures(query, { images }) {
    const { picture, missed } = made({ ...query, quick: false }, images);
    const edges = zoneEdges(images.plain().counts, query.values);
    return { ...heldValues(images.picture, picture, edges), missed };
  },

  mood({ settings, squint, quick }, { images }) {
    const threshold = valueOfEdge(images.split(squint).edge);
    const from = quick ? images.half().picture : images.picture;
    return moodPicture(from, settings, threshold);
  },

  moodEffect({ settings, squint }, { images }) {
    const threshold = valueOfEdge(images.split(squint).edge);
    const small = images.half().picture;
    return moodEffect(small, moodPicture(small, settings, threshold));
  },
} satisfies Partial<Answers>;
