import { hexFromOklab } from '@/core/colour/hex';
import type { ColourwayChoice } from '@/core/pattern/colourway';
import { mergeTargets } from '@/core/pattern/merges';
import type { StrayGroup } from '@/core/pattern/paints';
import type { ColourMove, WayColour } from '@/core/pattern/way-colours';
import { cutText } from '@/core/text';
import type { LibraryContent } from '@/contracts/library';
import {
  MAX_COLOURWAYS,
  MAX_SOURCES,
  MAX_SOURCE_COLOURS,
  type KeptColourway,
  type PatternContent,
  type PatternSource,
} from '@/contracts/pattern';
import { DEFAULT_LIBRARY_PALETTE, DEFAULT_LIBRARY_SWATCH } from './library';

type Edit = (content: PatternContent) => PatternContent;

/** For each paint that was merged the one it ended in. */
export const targetsOf = ({ merges }: Pick<PatternContent, 'merges'>): Map<string, string> =>
  mergeTargets(merges.map(({ id, into }) => ({ paint: id, into })));

/** Merges the strays of some groups into those that they are to become. */
export const mergeGroups =
  (groups: readonly StrayGroup[]): Edit =>
  (content) => {
    const fresh = groups.flatMap(({ keeps, strays }) =>
      strays.map(({ hex }) => ({ id: hex, into: keeps })),
    );
    const ids = new Set(fresh.map(({ id }) => id));
    return { ...content, merges: [...content.merges.filter(({ id }) => !ids.has(id)), ...fresh] };
  };

/** A paint on its own again. */
export const unmerge =
  (paint: string): Edit =>
  (content) => ({ ...content, merges: content.merges.filter(({ id }) => id !== paint) });

/** The colours of the sources that are in use. */
export const coloursInUse = ({ sources }: Pick<PatternContent, 'sources'>): WayColour[] =>
  sources.filter(({ used }) => used).flatMap(({ colours }) => colours);

/** Adds a source, in use, its colours under ids of their own. Too many sources or colours are cut off. */
export const addSource =
  (source: Omit<PatternSource, 'id' | 'used'>, newId: () => string): Edit =>
  (content) => ({
    ...content,
    sources: [
      ...content.sources,
      {
        ...source,
        title: cutText(source.title, 200),
        id: newId(),
        used: true,
        colours: source.colours
          .slice(0, MAX_SOURCE_COLOURS)
          .map((one) => ({ ...one, id: newId(), name: cutText(one.name, 200) })),
      },
    ].slice(0, MAX_SOURCES),
  });

const CHOSEN = 'chosen swatches';

/** Adds single swatches to those that were chosen before. */
export const addToSwatches =
  (colours: readonly WayColour[], newId: () => string): Edit =>
  (content) => {
    const there = content.sources.find(
      ({ kind, title, colours: own }) =>
        kind === 'swatches' &&
        title === CHOSEN &&
        own.length + colours.length <= MAX_SOURCE_COLOURS,
    );
    if (!there)
      return addSource({ title: CHOSEN, kind: 'swatches', colours: [...colours] }, newId)(content);
    const fresh = colours.map((one) => ({ ...one, id: newId(), name: cutText(one.name, 200) }));
    return {
      ...content,
      sources: content.sources.map((source) =>
        source === there
          ? { ...source, used: true, colours: [...source.colours, ...fresh] }
          : source,
      ),
    };
  };

export const takeUpSource =
  (id: string, used: boolean): Edit =>
  (content) => ({
    ...content,
    sources: content.sources.map((source) => (source.id === id ? { ...source, used } : source)),
  });

export const removeSource =
  (id: string): Edit =>
  (content) => ({ ...content, sources: content.sources.filter((source) => source.id !== id) });

/** Changes what is chosen for the colourway that is tried. */
export const choose =
  (part: Partial<ColourwayChoice>): Edit =>
  (content) => ({
    ...content,
    choice: storedChoice({ ...content.choice, ...part }),
  });

/** A choice as it is stored. */
export const storedChoice = (choice: ColourwayChoice): PatternContent['choice'] => ({
  ...choice,
  moves: [...choice.moves],
  held: [...choice.held],
});

export const NO_MOVE: Omit<ColourMove, 'colour'> = {
  turn: 0,
  lighter: 0,
  wider: 0,
  instead: null,
};

export const moveOf = (choice: ColourwayChoice, colour: string): ColourMove =>
  choice.moves.find((move) => move.colour === colour) ?? { ...NO_MOVE, colour };

/** Moves one colour of the palette; what is not moved any more leaves no trace. */
export const moveWayColour =
  (colour: string, part: Partial<Omit<ColourMove, 'colour'>>): Edit =>
  (content) => {
    const { choice } = content;
    const move = { ...moveOf(choice, colour), ...part };
    const others = choice.moves.filter((one) => one.colour !== colour);
    const isMoved = move.turn !== 0 || move.lighter !== 0 || move.wider !== 0 || move.instead;
    return choose({ moves: isMoved ? [...others, move] : others })(content);
  };

/** Gives a paint a colour whatever else changes: one by its id, its own (null), or lets it go (undefined). */
export const holdPaint =
  (paint: string, colour: string | null | undefined): Edit =>
  (content) => {
    const others = content.choice.held.filter((one) => one.paint !== paint);
    return choose({ held: colour === undefined ? others : [...others, { paint, colour }] })(
      content,
    );
  };

/** Keeps a colourway beside those that are kept; the last where there are too many is not kept. */
export const keepColourway =
  (kept: KeptColourway): Edit =>
  (content) => ({
    ...content,
    colourways: [...content.colourways, kept].slice(0, MAX_COLOURWAYS),
  });

export const changeColourway =
  (id: string, part: Partial<Pick<KeptColourway, 'name' | 'favourite'>>): Edit =>
  (content) => ({
    ...content,
    colourways: content.colourways.map((one) => (one.id === id ? { ...one, ...part } : one)),
  });

/** Puts a colourway that was deleted back to its place, whatever was done since. */
export const putColourwayBack =
  (kept: KeptColourway, at: number): Edit =>
  (content) => ({
    ...content,
    colourways: content.colourways
      .filter(({ id }) => id !== kept.id)
      .toSpliced(at, 0, kept)
      .slice(0, MAX_COLOURWAYS),
  });

export const deleteColourway =
  (id: string): Edit =>
  (content) => ({ ...content, colourways: content.colourways.filter((one) => one.id !== id) });

/**
 * Goes on from what a colourway was made of: its choice, and its colours as a source where they are not in use already. What
 * else is in use is put aside.
 */
export const goOnFrom =
  ({ name, made }: Pick<KeptColourway, 'name' | 'made'>, newId: () => string): Edit =>
  (content) => {
    const wanted = new Set(made.colours.map(({ id }) => id));
    const sources = content.sources.map((source) => ({
      ...source,
      used: source.colours.some(({ id }) => wanted.has(id)),
    }));
    const there = new Set(
      sources.filter(({ used }) => used).flatMap(({ colours }) => colours.map(({ id }) => id)),
    );
    const missing = made.colours.filter(({ id }) => !there.has(id));
    const own: PatternSource[] =
      missing.length > 0
        ? [
            {
              id: newId(),
              title: cutText(`colours of ${name}`, 200),
              kind: 'swatches',
              used: true,
              colours: missing.slice(0, MAX_SOURCE_COLOURS),
            },
          ]
        : [];
    return {
      ...content,
      sources: [...sources, ...own].slice(-MAX_SOURCES),
      choice: made.choice,
    };
  };

/** A colourway's colours as a library. */
export function colourwayLibrary(
  title: string,
  name: string,
  colours: readonly WayColour[],
  newId: () => string,
): LibraryContent {
  return {
    ...DEFAULT_LIBRARY_PALETTE,
    name: cutText(`${title}: ${name}`, 200),
    note: '',
    tags: ['colourway'],
    swatches: colours.map((one) => ({
      ...DEFAULT_LIBRARY_SWATCH,
      id: newId(),
      name: one.name === one.id ? hexFromOklab(one.colour) : one.name,
      note: '',
      role: null,
      colour: one.colour,
      share: one.share,
    })),
  };
}
