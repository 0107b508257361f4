import { placeQuery } from '@/ui/place';

/** How the Desk is being looked at: all of it is in the address bar, so that a reload comes back to it. */
export const STEPS = ['look', 'values', 'palette'] as const;
export type Step = (typeof STEPS)[number];
export const LENSES = ['picture', 'squint', 'greys', 'zones'] as const;
export type Lens = (typeof LENSES)[number];

export interface View {
  step: Step;
  /** What is laid over the picture in the step Values. */
  lens: Lens;
  /** Where the lens begins, as a fraction of the picture's width; null lays it over all. */
  wipe: number | null;
  /** 1 fits the picture into the stage. */
  zoom: number;
  /** The place in the middle of the stage, in fractions of the framed picture. */
  centre: { x: number; y: number };
  /** A place of the original that a swatch led to. */
  at: { x: number; y: number; radius: number } | null;
}

export const FIRST_VIEW: View = {
  step: 'look',
  lens: 'greys',
  wipe: null,
  zoom: 1,
  centre: { x: 0.5, y: 0.5 },
  at: null,
};

export const MOST_ZOOM = 16;

/** Reads an address; whatever is missing or makes no sense is as at first. */
export function viewFrom(query: URLSearchParams): View {
  const zoom = number(query.get('zoom'), 1, MOST_ZOOM) ?? 1;
  const [x, y] = numbers(query.get('centre'), 2) ?? [0.5, 0.5];
  const at = numbers(query.get('at'), 3);
  return {
    step: oneOf(STEPS, query.get('step')) ?? FIRST_VIEW.step,
    lens: oneOf(LENSES, query.get('lens')) ?? FIRST_VIEW.lens,
    wipe: number(query.get('wipe'), 0, 1),
    zoom,
    centre: zoom === 1 ? FIRST_VIEW.centre : { x, y },
    at: at && { x: at[0], y: at[1], radius: at[2] },
  };
}

/** The address of a view, without what is as at first. */
export function queryOf(view: View): string {
  const query = new URLSearchParams();
  if (view.step !== FIRST_VIEW.step) query.set('step', view.step);
  if (view.step === 'values' && view.lens !== FIRST_VIEW.lens) query.set('lens', view.lens);
  if (view.step === 'values' && view.wipe !== null) query.set('wipe', short(view.wipe));
  if (view.zoom !== 1) {
    query.set('zoom', short(view.zoom));
    query.set('centre', `${short(view.centre.x)},${short(view.centre.y)}`);
  }
  if (view.at) query.set('at', placeQuery(view.at));
  return query.toString().replaceAll('%2C', ',');
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
