import type { Stored } from './versioned';

export const SESSION_VERSION = 1;

/** What each function makes of a session: version 2 of version 1, and so on. */
export const sessionUpgrades: ((session: Stored) => Stored)[] = [];
