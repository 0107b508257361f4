/** The most points that a line or loop drawn by hand is stored with. */
export const MOST_POINTS = 400;
