import type { Stored } from './versioned';

export const SHELF_VERSION = 1;

/** What each function makes of a shelf: version 2 of version 1, and so on. */
export const shelfUpgrades: ((shelf: Stored) => Stored)[] = [];
