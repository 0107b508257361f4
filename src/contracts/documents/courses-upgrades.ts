import type { Stored } from './versioned';

export const COURSES_VERSION = 1;

/** What each function makes of stored courses: version 2 of version 1, and so on. */
export const coursesUpgrades: ((courses: Stored) => Stored)[] = [];
