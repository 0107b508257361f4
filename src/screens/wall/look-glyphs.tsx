import { OFFSETS } from '@/core/palette/build-harmony';
import type { SchemeName } from '@/core/measure/harmony';
import { GREYS, NO_COLOUR, type StudyFacet } from '@/contracts/study-search';

const SIDE = 16;

/** What of a stave's height a block takes, from the top down, in sixteenths. */
const BLOCKS: Readonly<Record<string, readonly [from: number, to: number]>> = {
  'key high': [1, 5],
  'key middle': [6, 10],
  'key low': [11, 15],
  'range full': [1, 15],
  'range medium': [4, 12],
  'range short': [6, 10],
};
const DOT = 2;
const RING = 6;

/** A facet's value as a drawing of ours: a block on a stave, hues round a wheel, a tide of greys. */
export function LookGlyph({ facet, value }: { facet: StudyFacet; value: string }) {
  return (
    <svg viewBox={`0 0 ${SIDE} ${SIDE}`} width={SIDE} height={SIDE} aria-hidden className="my-0.5">
      {(facet === 'key' || facet === 'range') && <OnStave block={BLOCKS[`${facet} ${value}`]} />}
      {facet === 'harmony' && (
        <OnWheel scheme={value === NO_COLOUR ? null : (value as SchemeName)} />
      )}
      {facet === 'greys' && <InTide level={(GREYS as readonly string[]).indexOf(value)} />}
    </svg>
  );
}

function OnStave({ block }: { block: readonly [number, number] | undefined }) {
  const [from, to] = block ?? [0, 0];
  return (
    <>
      {[1, 5.7, 10.3, 15].map((y) => (
        <line key={y} x1={1} x2={15} y1={y} y2={y} stroke="currentColor" strokeWidth={0.5} />
      ))}
      <rect x={4} width={8} y={from} height={to - from} fill="currentColor" />
    </>
  );
}

function OnWheel({ scheme }: { scheme: SchemeName | null }) {
  return (
    <>
      <circle cx={8} cy={8} r={RING} fill="none" stroke="currentColor" strokeWidth={0.75} />
      {scheme &&
        OFFSETS[scheme].map((offset, i) => {
          const angle = (offset / 12) * 2 * Math.PI;
          return (
            <circle
              key={i}
              cx={8 + RING * Math.sin(angle)}
              cy={8 - RING * Math.cos(angle)}
              r={DOT}
              fill="currentColor"
            />
          );
        })}
    </>
  );
}

/** The more grey, the higher the water. */
function InTide({ level }: { level: number }) {
  const high = [4, 8, 13][level] ?? 0;
  return (
    <>
      <rect
        x={1.5}
        y={1.5}
        width={13}
        height={13}
        fill="none"
        stroke="currentColor"
        strokeWidth={0.75}
      />
      <rect x={1.5} y={14.5 - high} width={13} height={high} fill="currentColor" opacity={0.75} />
    </>
  );
}

/** Facets whose values are drawn; of the others the family's letters are enough. */
export const isDrawn = (facet: StudyFacet): boolean => facet !== 'family' && facet !== 'keyColour';
