import { placeQuery } from '@/ui/place';

/** How the Desk is being looked at: all of it is in the address bar, so that a reload comes back to it. */
export const STEPS = ['look', 'values', 'colours', 'hidden', 'palette'] as const;
export type Step = (typeof STEPS)[number];
/** What the step Values is asked. */
export const TOPICS = ['zones', 'light', 'parting', 'focus', 'brightness'] as const;
export type Topic = (typeof TOPICS)[number];
export const LENSES = [
  'picture',
  'squint',
  'greys',
  'zones',
  'sides',
  'merging',
  'busy',
  'edges',
] as const;
export type Lens = (typeof LENSES)[number];
/** What can be laid over the picture under each topic. */
export const LENSES_OF: Record<Topic, readonly Lens[]> = {
  zones: ['picture', 'squint', 'greys', 'zones'],
  light: ['picture', 'sides'],
  parting: ['picture', 'greys', 'merging'],
  focus: ['picture', 'edges', 'busy'],
  brightness: ['picture'],
};
/** How each topic opens. */
export const FIRST_LENS: Record<Topic, Lens> = {
  zones: 'greys',
  light: 'sides',
  parting: 'picture',
  focus: 'picture',
  brightness: 'picture',
};
/** What the step Colours is asked. */
export const ASPECTS = ['hues', 'warmth', 'chroma', 'harmony', 'seeming'] as const;
export type Aspect = (typeof ASPECTS)[number];
/** What is done about hidden colours, and how the picture is seen meanwhile. */
export const QUESTS = ['found', 'push', 'protect'] as const;
export type Quest = (typeof QUESTS)[number];
export const SIGHTS = ['pushed', 'beside', 'greys', 'map', 'picture'] as const;
export type Sight = (typeof SIGHTS)[number];
/** What is done to the palette, and what it is built from. */
export const CRAFTS = ['take', 'prune', 'weigh', 'fit', 'build'] as const;
export type Craft = (typeof CRAFTS)[number];
export const BUILDS = ['ladder', 'harmony', 'follow', 'limit'] as const;
export type Build = (typeof BUILDS)[number];
/** What colours can be picked from. */
export const TAKE_FROM = ['picture', 'squint', 'zones', 'pushed'] as const;
export type TakeFrom = (typeof TAKE_FROM)[number];
/** What of the palette's fit lies over the picture. */
export const FIT_LOOKS = ['mapped', 'failing', 'picture'] as const;
export const ZONE_LOOKS = ['greys', 'colours', 'outlines'] as const;

export interface View {
  step: Step;
  topic: Topic;
  /** What is laid over the picture in the step Values: one of the topic's. */
  lens: Lens;
  zoneLook: (typeof ZONE_LOOKS)[number];
  aspect: Aspect;
  /** A place of the original that the three questions are asked of. */
  asked: { x: number; y: number } | null;
  /** Whether the map of temperature lies over the picture. */
  warmthMap: boolean;
  quest: Quest;
  sight: Sight;
  craft: Craft;
  build: Build;
  fitLook: (typeof FIT_LOOKS)[number];
  /** What colours are picked from: the picture, or what is laid over it. */
  takeFrom: TakeFrom;
  /** Whether a pick takes the colours that make its area in place of their average. */
  takeParts: boolean;
  /** Two places of the original that are held against each other. */
  pair: readonly { x: number; y: number }[];
  /** Where the lens begins, as a fraction of the picture's width; null lays it over all. */
  wipe: number | null;
  /** 1 fits the picture into the stage. */
  zoom: number;
  /** The place in the middle of the stage, in fractions of the framed picture. */
  centre: { x: number; y: number };
  /** A place of the original that a swatch led to. */
  at: { x: number; y: number; radius: number } | null;
}

export const DEFAULT_VIEW: View = {
  step: 'look',
  topic: 'zones',
  lens: 'greys',
  zoneLook: 'greys',
  aspect: 'hues',
  asked: null,
  warmthMap: false,
  quest: 'found',
  sight: 'pushed',
  craft: 'take',
  build: 'ladder',
  fitLook: 'mapped',
  takeFrom: 'picture',
  takeParts: false,
  pair: [],
  wipe: null,
  zoom: 1,
  centre: { x: 0.5, y: 0.5 },
  at: null,
};

export const MAX_ZOOM = 16;

/** Reads an address; whatever is missing or makes no sense is as at first. */
export function viewFrom(query: URLSearchParams): View {
  const zoom = number(query.get('zoom'), 1, MAX_ZOOM) ?? 1;
  const [x, y] = numbers(query.get('centre'), 2) ?? [0.5, 0.5];
  const at = numbers(query.get('at'), 3);
  const topic = oneOf(TOPICS, query.get('topic')) ?? DEFAULT_VIEW.topic;
  return {
    step: oneOf(STEPS, query.get('step')) ?? DEFAULT_VIEW.step,
    topic,
    lens: oneOf(LENSES_OF[topic], query.get('lens')) ?? FIRST_LENS[topic],
    zoneLook: oneOf(ZONE_LOOKS, query.get('as')) ?? DEFAULT_VIEW.zoneLook,
    aspect: oneOf(ASPECTS, query.get('aspect')) ?? DEFAULT_VIEW.aspect,
    warmthMap: query.get('warmth') === 'map',
    quest: oneOf(QUESTS, query.get('quest')) ?? DEFAULT_VIEW.quest,
    sight: oneOf(SIGHTS, query.get('sight')) ?? DEFAULT_VIEW.sight,
    craft: oneOf(CRAFTS, query.get('craft')) ?? DEFAULT_VIEW.craft,
    build: oneOf(BUILDS, query.get('build')) ?? DEFAULT_VIEW.build,
    fitLook: oneOf(FIT_LOOKS, query.get('fit')) ?? DEFAULT_VIEW.fitLook,
    takeFrom: oneOf(TAKE_FROM, query.get('from')) ?? DEFAULT_VIEW.takeFrom,
    takeParts: query.get('pick') === 'parts',
    asked: pairFrom(query.getAll('asked'))[0] ?? null,
    pair: pairFrom(query.getAll('place')),
    wipe: number(query.get('wipe'), 0, 1),
    zoom,
    centre: zoom === 1 ? DEFAULT_VIEW.centre : { x, y },
    at: at && { x: at[0], y: at[1], radius: at[2] },
  };
}

/** The address of a view, without what is as at first. */
export function queryOf(view: View): string {
  const query = new URLSearchParams();
  if (view.step !== DEFAULT_VIEW.step) query.set('step', view.step);
  if (view.step === 'values') {
    if (view.topic !== DEFAULT_VIEW.topic) query.set('topic', view.topic);
    if (view.lens !== FIRST_LENS[view.topic]) query.set('lens', view.lens);
    if (view.zoneLook !== DEFAULT_VIEW.zoneLook) query.set('as', view.zoneLook);
    for (const { x, y } of view.pair) query.append('place', `${short(x)},${short(y)}`);
    if (view.wipe !== null) query.set('wipe', short(view.wipe));
  }
  if (view.step === 'colours' && view.aspect !== DEFAULT_VIEW.aspect)
    query.set('aspect', view.aspect);
  if (view.step === 'colours' && view.warmthMap) query.set('warmth', 'map');
  if (view.step === 'colours' && view.asked)
    query.set('asked', `${short(view.asked.x)},${short(view.asked.y)}`);
  if (view.step === 'hidden') {
    if (view.quest !== DEFAULT_VIEW.quest) query.set('quest', view.quest);
    if (view.sight !== DEFAULT_VIEW.sight) query.set('sight', view.sight);
    if (view.wipe !== null) query.set('wipe', short(view.wipe));
  }
  if (view.step === 'palette') {
    if (view.craft !== DEFAULT_VIEW.craft) query.set('craft', view.craft);
    if (view.craft === 'build' && view.build !== DEFAULT_VIEW.build) query.set('build', view.build);
    if (view.craft === 'fit' && view.fitLook !== DEFAULT_VIEW.fitLook) query.set('fit', view.fitLook);
    if (view.takeFrom !== DEFAULT_VIEW.takeFrom) query.set('from', view.takeFrom);
    if (view.takeParts) query.set('pick', 'parts');
    if (view.craft === 'fit' && view.wipe !== null) query.set('wipe', short(view.wipe));
  }
  if (view.zoom !== 1) {
    query.set('zoom', short(view.zoom));
    query.set('centre', `${short(view.centre.x)},${short(view.centre.y)}`);
  }
  if (view.at) query.set('at', placeQuery(view.at));
  return query.toString().replaceAll('%2C', ',');
}

function pairFrom(places: readonly string[]): View['pair'] {
  return places.slice(0, 2).flatMap((place) => {
    const [x, y] = numbers(place, 2) ?? [];
    return x === undefined || y === undefined ? [] : [{ x, y }];
  });
}

function short(n: number): string {
  return String(Math.round(n * 1000) / 1000);
}

function oneOf<T extends string>(known: readonly T[], text: string | null): T | null {
  return known.find((entry) => entry === text) ?? null;
}

function number(text: string | null, least: number, most: number): number | null {
  if (text === null || text.trim() === '') return null;
  const n = Number(text);
  return Number.isFinite(n) ? Math.min(most, Math.max(least, n)) : null;
}

function numbers(text: string | null, count: number): number[] | null {
  const parts = (text ?? '').split(',').map((part) => number(part, 0, 1));
  return parts.length === count && parts.every((part) => part !== null)
    ? (parts as number[])
    : null;
}
