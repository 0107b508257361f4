import type { Look } from './pattern-view';

export const LOOK_TITLES: Readonly<Record<Look, string>> = {
  one: 'one',
  wall: 'wall',
  two: 'side by side',
  cloth: 'as cloth',
};

export const LOOK_KEYS: Readonly<Record<Look, string>> = {
  one: 'o',
  wall: 'w',
  two: 't',
  cloth: 'c',
};
