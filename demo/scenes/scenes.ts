import type { Scene } from '../painter/scene';
import { lowerStation } from './lower-station';
import { passingLoop } from './passing-loop';
import { ticketHall } from './ticket-hall';

/** All pictures of the story, in the order of the book. */
export const SCENES: readonly Scene[] = [ticketHall, lowerStation, passingLoop];
