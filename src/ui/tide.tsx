import { hexFromOklab } from '@/core/colour/hex';
import type { FamilyPresence } from '@/core/measure/hues';
import { pointingByMouse } from './pointing';

const WIDE = 303;
const HIGH = 62;
const LETTERS = 16;

/** R, RO, O: the first letter of each part of a family's name. */
export function initials(family: string): string {
  return family
    .split(/[- ]/)
    .map((part) => part.charAt(0).toUpperCase())
    .join('');
}

/** The tallest share on either side of the water, for tides that stand side by side. */
export function mostOf(families: readonly FamilyPresence[]): number {
  return Math.max(0.01, ...families.flatMap(({ light, shadow }) => [light, shadow]));
}

interface Props {
  families: readonly FamilyPresence[];
  /** The share that is as tall as can be. */
  most?: number;
  /** How tall either side is, for a width of 303. */
  high?: number;
  /** Says which family is pointed at, null for none. */
  onPoint?: (index: number | null) => void;
}

/**
 * The tide: the families along a waterline; above it rises what lies in the light, below it what lies
 * in the shadow, as tall as its share, filled with its mean colour. The table beside it is its twin
 * for keys and readers.
 */
export function Tide({ families, most = mostOf(families), high = HIGH, onPoint }: Props) {
  const column = WIDE / families.length;
  const tall = (share: number) => (share > 0 ? Math.max(1.5, (share / most) * high) : 0);
  return (
    <svg
      role="img"
      aria-label="Hues in light and shadow: families above the waterline in the light, below it in the shadow; the table has the figures"
      viewBox={`0 0 ${WIDE} ${2 * high + LETTERS}`}
      className="block w-full"
    >
      {families.map(({ family, light, shadow, lightColour, shadowColour }, index) => (
        <g
          key={family}
          {...pointingByMouse(
            () => onPoint?.(index),
            () => onPoint?.(null),
          )}
        >
          <rect x={index * column} width={column} height={2 * high + LETTERS} fill="transparent" />
          <rect
            x={index * column + 1.5}
            width={column - 3}
            y={high - tall(light)}
            height={tall(light)}
            fill={lightColour ? hexFromOklab(lightColour) : 'none'}
          />
          <rect
            x={index * column + 1.5}
            width={column - 3}
            y={high + LETTERS}
            height={tall(shadow)}
            fill={shadowColour ? hexFromOklab(shadowColour) : 'none'}
          />
          <text
            x={(index + 0.5) * column}
            y={high + LETTERS - 4}
            textAnchor="middle"
            fontSize="11"
            fill={light + shadow > 0 ? 'var(--ink)' : 'var(--soft)'}
          >
            {initials(family)}
          </text>
        </g>
      ))}
      {[high, high + LETTERS].map((y) => (
        <line key={y} x1={0} x2={WIDE} y1={y} y2={y} stroke="var(--ink)" strokeWidth={0.75} />
      ))}
    </svg>
  );
}
