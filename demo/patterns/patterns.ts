import { tileSvg } from './enamel-tile';
import { seatClothSvg } from './seat-cloth';
import { stationGlassSvg } from './station-glass';
import { ticketPaperSvg } from './ticket-paper';

/** Every pattern of the demo by its file's name. */
export const PATTERNS: Readonly<Record<string, () => string>> = {
  'enamel-tile.svg': tileSvg,
  'ticket-paper.svg': ticketPaperSvg,
  'seat-cloth.svg': seatClothSvg,
  'station-glass.svg': stationGlassSvg,
};
