import { addressCodec, oneOf, text } from '@/ui/address';

export const BENCH_TABS = [
  'shelf',
  'mixing',
  'strings',
  'tries',
  'sticks',
  'pencils',
  'inks',
] as const;
export type BenchTab = (typeof BENCH_TABS)[number];
export const TUBE_ORDERS = ['as put', 'by hue', 'by value', 'by name'] as const;
export type TubeOrder = (typeof TUBE_ORDERS)[number];

export interface BenchView {
  tab: BenchTab;
  /** The tube that is open. */
  tube: string;
  /** Words that tubes are looked for by. */
  find: string;
  order: TubeOrder;
  /** What lies in the mixing room, as `tube:parts,tube:parts`. */
  mix: string;
}

export const benchCodec = addressCodec<BenchView>({
  tab: oneOf('tab', BENCH_TABS, 'shelf'),
  tube: text('tube', 40),
  find: text('find', 100),
  order: oneOf('order', TUBE_ORDERS, 'as put'),
  mix: text('mix', 300),
});

export interface PilePart {
  tube: string;
  parts: number;
}

/** What lies in the mixing room; entries that make no sense are left out. */
export function readPile(mix: string): PilePart[] {
  return mix.split(',').flatMap((entry) => {
    const colon = entry.lastIndexOf(':');
    const parts = Number(entry.slice(colon + 1));
    return colon > 0 && parts >= 0 && parts <= 100 ? [{ tube: entry.slice(0, colon), parts }] : [];
  });
}

export const writePile = (pile: readonly PilePart[]): string =>
  pile.map(({ tube, parts }) => `${tube}:${parts}`).join();
