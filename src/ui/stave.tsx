import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { scaleMarks, type ValueScale } from '@/core/colour/value-scale';
import { layStave } from '@/core/palette/stave-layout';

export interface StaveSwatch {
  id: string;
  name: string;
  colour: Oklab;
  share: number | null;
}

interface Props {
  swatches: readonly StaveSwatch[];
  scale: ValueScale;
  height: number;
  /** Said to those who can't see it. */
  label: string;
  /** Swatches that stand out: they are marked along the foot, and the rest dims. */
  marked?: ReadonlySet<string>;
}

const WIDE = 1000;
const BLOCK = 0.2;

/**
 * The small stave: horizontal lines are the steps of the person's value scale, light at the top;
 * each swatch is a block at its value, as wide as its share.
 */
export function Stave({ swatches, scale, height, label, marked }: Props) {
  const columns = layStave(
    swatches.map((swatch) => swatch.share),
    WIDE,
    14,
  );
  const room = height * (1 - BLOCK);
  const yOf = (value: number) => (1 - value / 10) * room + (height * BLOCK) / 2;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${WIDE} ${height}`}
      preserveAspectRatio="none"
      className="block w-full"
      style={{ height }}
    >
      {scaleMarks(scale).map(({ mark, value }) => (
        <line
          key={mark}
          x1={0}
          x2={WIDE}
          y1={yOf(value)}
          y2={yOf(value)}
          stroke="var(--line)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
          opacity={0.6}
        />
      ))}
      {swatches.map((swatch, i) => (
        <rect
          key={swatch.id}
          x={columns[i].left}
          width={Math.max(1, columns[i].block - 3)}
          y={yOf(valueOfOklab(swatch.colour)) - (height * BLOCK) / 2}
          height={height * BLOCK}
          fill={hexFromOklab(swatch.colour)}
          opacity={marked && !marked.has(swatch.id) ? 0.25 : 1}
        />
      ))}
      {swatches.map(
        (swatch, i) =>
          marked?.has(swatch.id) && (
            <rect
              key={swatch.id}
              x={columns[i].left}
              width={Math.max(1, columns[i].block - 3)}
              y={height - 4}
              height={4}
              fill="var(--ink)"
            />
          ),
      )}
    </svg>
  );
}

/** What a stave shows, in words. */
export function staveWords(swatches: readonly StaveSwatch[]): string {
  if (swatches.length === 0) return 'No palette yet';
  return `Palette: ${swatches.map((swatch) => swatch.name).join(', ')}`;
}
