import { enamelTile } from '../patterns/enamel-tile';
import type { DemoPicture } from '../painter/picture';
import { conductor } from './conductor';
import { lowerStation } from './lower-station';
import { passingLoop } from './passing-loop';
import { poster } from './poster';
import { slateTerrace } from './slate-terrace';
import { summit } from './summit';
import { ticketHall } from './ticket-hall';
import { winchRoom } from './winch-room';

/** Every picture of the demo, in the order of the book. */
export const PICTURES: readonly DemoPicture[] = [
  ticketHall,
  lowerStation,
  passingLoop,
  winchRoom,
  slateTerrace,
  summit,
  conductor,
  poster,
  enamelTile,
];
