import { keepMap } from '@/core/amplify/protect';
import { massDepths } from '@/core/depth/depth-study';
import type { DepthMark } from '@/core/depth/depth-marks';
import { wheelOf } from '@/core/colour/wheel';
import { zoneEdges } from '@/core/measure/zones';
import type { Place } from '@/core/picture/framing';
import { copyPicture, type Picture } from '@/core/picture/picture';
import type { Stroke } from '@/core/picture/strokes';
import { greyPicture, valueOfEdge } from '@/core/picture/value-map';
import { distancesOf } from '@/core/transfer/distances';
import { heldPicture } from '@/core/transfer/held';
import { moodPicture } from '@/core/transfer/moods';
import { keyTable, throughTable } from '@/core/transfer/one-key';
import { proposals, type Proposal } from '@/core/transfer/proposals';
import { strictPicture, type StrictPicture } from '@/core/transfer/strict';
import { freeOf, NO_MASS, subjectOf, type Subject } from '@/core/transfer/subject';
import { NO_MOVES, whatIfPicture, type MassMoves } from '@/core/transfer/what-if';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import type { DerivedImages } from './derived-images';

type TransferQuery = Omit<QueryOf<'proposals'>, 'kind'>;
type Transferred = Omit<QueryOf<'transferFigures'>, 'kind'>;

/** The subject of each picture as it was read last: it stands while colours are tried on it. */
const subjects = new WeakMap<Picture, { squint: number; subject: Subject }>();

/** The masses of the developed picture, at the pixels of a picture of it that may have another size. */
export function subjectIn(
  images: DerivedImages,
  squint: number,
  picture: Picture = images.picture,
): Subject {
  const known = subjects.get(picture);
  if (known?.squint === squint) return known.subject;
  const subject = subjectOf(images, squint, picture);
  subjects.set(picture, { squint, subject });
  return subject;
}

/** Places of the original as places of the framed picture. */
function framedPlaces({ framed }: DerivedImages, places: readonly Place[]): Place[] {
  return places.flatMap(
    ({ x, y }) => framed([{ tool: 'lasso' as const, radius: 0, points: [{ x, y }] }])[0].points,
  );
}

/** Marks on the original as marks on the framed picture. */
export function framedMarks(images: DerivedImages, marks: readonly DepthMark[]): DepthMark[] {
  const places = framedPlaces(images, marks);
  return marks.map(({ is }, i) => ({ is, ...places[i] }));
}

/** The mass at a place of the framed picture; null where there is none. */
export function massOf({ picture, field }: Subject, { x, y }: Place): number | null {
  if (x < 0 || y < 0 || x > 1 || y > 1) return null;
  const column = Math.min(picture.width - 1, Math.floor(x * picture.width));
  const row = Math.min(picture.height - 1, Math.floor(y * picture.height));
  const mass = field.first[row * picture.width + column];
  return mass === NO_MASS ? null : mass;
}

/** The masses at places of the original. */
export function massesOf(
  images: DerivedImages,
  squint: number,
  places: readonly Place[],
): (number | null)[] {
  const subject = subjectIn(images, squint);
  return framedPlaces(images, places).map((place) => massOf(subject, place));
}

/** The proposals of each picture as they were solved last. */
const solved = new WeakMap<Picture, { key: string; found: Proposal[] }>();

/** Ways to put colours on the masses around what is held. */
export function proposalsIn(images: DerivedImages, query: TransferQuery): Proposal[] {
  const { colours, held, prominence, values, parts } = query;
  const key = JSON.stringify([colours, held, prominence, values.squint, parts]);
  const known = solved.get(images.picture);
  if (known?.key === key) return known.found;
  const subject = subjectIn(images, values.squint);
  const locks = new Array<number>(subject.masses.length).fill(-1);
  massesOf(images, values.squint, held).forEach((mass, i) => {
    if (mass !== null && held[i].colour < colours.length) locks[mass] = held[i].colour;
  });
  const keep = keptIn(images, images.picture, parts);
  const { masses, meetings } = keep ? freeOf(subject, keep) : subject;
  const found = proposals({ masses, meetings, colours, locks, prominence });
  solved.set(images.picture, { key, found });
  return found;
}

/** For each mass the number of its colour, by the way that is wanted or else the first. */
export function chosenOf(
  images: DerivedImages,
  query: TransferQuery & { way: Proposal['kind'] },
): number[] {
  const found = proposalsIn(images, query);
  return (found.find(({ kind }) => kind === query.way) ?? found[0]).of;
}

/** Rows of a picture that are looped out at once: a large one's mask would take much room otherwise. */
const BAND = 512;

/** The looped parts of each picture as they were laid last: they stand while colours are tried around them. */
const laid = new WeakMap<Picture, { key: string; kept: Uint8Array }>();

/** 255 for each pixel of the looped parts, softly falling to 0 at their rims; nothing where there are none. */
export function keptIn(
  images: DerivedImages,
  picture: Picture,
  parts: readonly Stroke[],
): Uint8Array | undefined {
  if (parts.length === 0) return undefined;
  const key = JSON.stringify(parts);
  const known = laid.get(picture);
  if (known?.key === key) return known.kept;
  const { width, height } = picture;
  const strokes = images.framed(parts);
  const kept = new Uint8Array(width * height);
  for (let from = 0; from < height; from += BAND) {
    const to = Math.min(height, from + BAND);
    const free = keepMap(
      { width, from, to, height, evened: () => ({ grey: NOTHING, ab: NOTHING }) },
      { wheel: 'painters', families: [], strokes, only: null },
    )!;
    for (let p = 0, at = from * width; p < free.length; p++, at++) kept[at] = 255 - free[p];
  }
  laid.set(picture, { key, kept });
  return kept;
}

/** No family is kept, so no colour is looked at. */
const NOTHING = new Float32Array(0);

export function transferredPicture(
  images: DerivedImages,
  query: Transferred,
  picture = images.picture,
): Pick<StrictPicture, 'picture' | 'missed' | 'missing'> & Partial<StrictPicture> {
  const subject = subjectIn(images, query.values.squint, picture);
  const colours = query.colours.map(({ colour }) => colour);
  const of = chosenOf(images, query);
  const keep = keptIn(images, picture, query.parts);
  if (query.mode === 'held')
    return { picture: heldPicture(subject, colours, of, keep), missed: 0, missing: [] };
  const edges = zoneEdges(images.plain().counts, query.values);
  return strictPicture(subject, colours, of, edges, keep);
}

/** The moves of each mass, of several at one the last. */
export function movesOf(
  images: DerivedImages,
  { moves, squint }: Pick<QueryOf<'whatIf'>, 'moves' | 'squint'>,
): MassMoves[] {
  const of = subjectIn(images, squint).masses.map(() => NO_MOVES);
  massesOf(images, squint, moves).forEach((mass, i) => {
    if (mass !== null) of[mass] = moves[i].moves;
  });
  return of;
}

export function moodIn(
  images: DerivedImages,
  { settings, squint, marks, parts }: Omit<QueryOf<'moodEffect'>, 'kind'>,
  picture = images.picture,
): Picture {
  const threshold = valueOfEdge(images.split(squint).edge);
  const distances =
    settings.air > 0
      ? distancesOf(
          subjectIn(images, squint, picture),
          massDepths(images.masses(squint).masses, framedMarks(images, marks)),
        )
      : undefined;
  const made = moodPicture(picture, settings, threshold, distances);
  return withKept(picture, made, keptIn(images, picture, parts));
}

/** What is kept comes back over what was made. */
function withKept(before: Picture, made: Picture, keep?: Uint8Array): Picture {
  if (!keep) return made;
  for (let pixel = 0, at = 0; pixel < keep.length; pixel++, at += 4) {
    if (keep[pixel] === 0) continue;
    const kept = keep[pixel] / 255;
    for (let k = at; k < at + 3; k++) made.data[k] += kept * (before.data[k] - made.data[k]);
  }
  return made;
}

function inColour(images: DerivedImages, query: MadeQuery, picture: Picture): Picture {
  switch (query.kind) {
    case 'transferred':
      return transferredPicture(images, query, picture).picture;
    case 'mood':
      return moodIn(images, query, picture);
    case 'whatIf':
      return whatIfPicture(
        subjectIn(images, query.squint, picture),
        movesOf(images, query),
        keptIn(images, picture, query.parts),
      );
    case 'oneKey':
      return throughTable(
        picture,
        keyTable(query.key, wheelOf(query.wheel)),
        keptIn(images, picture, query.parts),
      );
  }
}

/** What a query makes of a picture that is the developed one at any size; a new picture. */
export function madePicture(images: DerivedImages, query: MadeQuery, picture: Picture): Picture {
  const made = inColour(images, query, picture);
  if (query.grey) return greyPicture(made);
  return made.data === picture.data ? copyPicture(made) : made;
}

/** The developed picture at the size that a query is to be made at. */
export function pictureOfSize(images: DerivedImages, { size }: Pick<MadeQuery, 'size'>): Picture {
  if (size === 'whole') return images.picture;
  return size === 'half' ? images.half().picture : images.half().half().picture;
}
