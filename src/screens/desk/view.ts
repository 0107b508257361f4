import {
  addressCodec,
  bounded,
  flag,
  mapped,
  oneOf,
  points,
  readable,
  type AddressCodec,
} from '@/ui/address';
import { placeQuery } from '@/ui/place';

export interface Point {
  x: number;
  y: number;
}

/** A place without what else is known of it. */
export function placeOf({ x, y }: Point): Point {
  return { x, y };
}

/** What colours can be picked and extracted from. */
export const PICK_SOURCES = ['picture', 'squint', 'zones', 'pushed'] as const;
export type PickSource = (typeof PICK_SOURCES)[number];

/** How the Desk is being looked at, whatever the step. */
export interface DeskView {
  step: string;
  /** Where the lens begins, as a fraction of the picture's width; null lays it over all. */
  wipe: number | null;
  /** 1 fits the picture into the stage. */
  zoom: number;
  /** The place in the middle of the stage, in fractions of the framed picture. */
  centre: Point;
  /** A place of the original that a swatch led to. */
  at: (Point & { radius: number }) | null;
  pickFrom: PickSource;
  /** Whether a pick takes the colours that make its area in place of their average. */
  pickParts: boolean;
}

export const MAX_ZOOM = 16;
const MIDDLE: Point = { x: 0.5, y: 0.5 };

export function deskViewCodec(steps: readonly string[]): AddressCodec<DeskView> {
  return addressCodec<DeskView>({
    step: oneOf<string>('step', steps, steps[0]),
    wipe: bounded('wipe', [0, 1], null),
    zoom: bounded('zoom', [1, MAX_ZOOM], 1),
    centre: mapped(
      points('centre', 2, 1),
      ([place]) => (place ? { x: place[0], y: place[1] } : MIDDLE),
      ({ x, y }) => (x === MIDDLE.x && y === MIDDLE.y ? [] : [[x, y]]),
    ),
    at: {
      initial: null,
      read(query) {
        const [place] = points('at', 3, 1).read(query) ?? [];
        return place && { x: place[0], y: place[1], radius: place[2] };
      },
      write: (at, query) => at && query.set('at', placeQuery(at)),
    },
    pickFrom: oneOf('from', PICK_SOURCES, 'picture'),
    pickParts: flag('pick', 'parts'),
  });
}

/** A step's own part of the view, known by the step. */
export interface StepView<V extends object> {
  step: string;
  codec: AddressCodec<V>;
}

/** For each step its part of the view; one that is left out is as at first. */
export type StepViews = Readonly<Record<string, object>>;

export function stepViewIn<V extends object>(views: StepViews, { step, codec }: StepView<V>): V {
  return (views[step] as V | undefined) ?? codec.initial;
}

interface Viewed {
  id: string;
  view?: StepView<object>;
}

/** Reads an address; whatever is missing or makes no sense is as at first. */
export function readAddress(
  steps: readonly Viewed[],
  query: URLSearchParams,
): { view: DeskView; views: StepViews } {
  const codec = deskViewCodec(steps.map(({ id }) => id));
  const view = codec.read(query);
  const own = steps.find(({ id }) => id === view.step)?.view;
  return {
    view: view.zoom === 1 ? { ...view, centre: MIDDLE } : view,
    views: own ? { [view.step]: own.codec.read(query) } : {},
  };
}

/** The address of what the Desk shows: the view, and what the step it is in adds. */
export function writeAddress(steps: readonly Viewed[], view: DeskView, views: StepViews): string {
  const query = new URLSearchParams();
  deskViewCodec(steps.map(({ id }) => id)).write(
    view.zoom === 1 ? { ...view, centre: MIDDLE } : view,
    query,
  );
  const own = steps.find(({ id }) => id === view.step)?.view;
  if (own) own.codec.write(stepViewIn(views, own), query);
  return readable(query);
}

/** A field for up to so many places. */
export function placesField(name: string, max: number) {
  return mapped<readonly Point[], number[][]>(
    points(name, 2, max),
    (list) => list.map(([x, y]) => ({ x, y })),
    (places) => places.map(({ x, y }) => [x, y]),
  );
}

/** A field for one place or none. */
export function placeField(name: string) {
  return mapped<Point | null, readonly Point[]>(
    placesField(name, 1),
    ([place]) => place ?? null,
    (place) => (place ? [place] : []),
  );
}
