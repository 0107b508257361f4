import type { Stored } from './versioned';

export const PATTERN_VERSION = 1;

/** What each function makes of a pattern: version 2 of version 1, and so on. */
export const patternUpgrades: ((pattern: Stored) => Stored)[] = [];
