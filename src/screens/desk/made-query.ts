import type { WheelId } from '@/core/colour/wheel';
import type { MadeQuery, MadeSize } from '@/contracts/desk-query/transfer-queries';
import type { StudyDocument } from '@/contracts/study';
import type { VariantMade } from '@/contracts/use';

/** The query of what is tried in a study, or was kept of it; null where there is nothing to make. */
export function madeQuery(
  made: VariantMade,
  { values, depth, use }: Pick<StudyDocument, 'values' | 'depth' | 'use'>,
  wheel: WheelId,
  size: MadeSize,
  grey = false,
): MadeQuery | null {
  const { parts } = use;
  const { squint } = values;
  switch (made.kind) {
    case 'transfer': {
      const { colours, held, prominence, way, mode } = made.choice;
      if (!colours || colours.length === 0) return null;
      const numberOf = new Map(colours.map(({ id }, i) => [id, i]));
      return {
        kind: 'transferred',
        colours: colours.map(({ colour, share, height }) => ({ colour, share, height })),
        held: held.flatMap(({ x, y, colour }) => {
          const number = numberOf.get(colour);
          return number === undefined ? [] : [{ x, y, colour: number }];
        }),
        prominence: colours.map(
          ({ id }) => prominence.find(({ colour }) => colour === id)?.more ?? 0,
        ),
        way,
        mode,
        values,
        parts,
        size,
        grey,
      };
    }
    case 'mood':
      return {
        kind: 'mood',
        settings: made.choice.settings,
        squint,
        marks: depth.marks,
        parts,
        size,
        grey,
      };
    case 'what if':
      return { kind: 'whatIf', moves: made.choice, squint, parts, size, grey };
    case 'key':
      return { kind: 'oneKey', key: made.choice, wheel, parts, size, grey };
  }
}
