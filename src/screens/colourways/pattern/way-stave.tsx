'use client';

import { useRef, type PointerEvent } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { scaleMarks } from '@/core/colour/value-scale';
import { layStave } from '@/core/palette/stave-layout';
import { MAX_WIDER, type ColourMove, type WayColour } from '@/core/pattern/way-colours';
import { useSettings } from '@/ui/settings';
import { useSize } from '@/ui/use-size';
import { dropOn, useHand } from './hand';

const HEIGHT = 150;
const BLOCK = 26;
/** A finger's width at the least: with many colours the stave scrolls. */
const MIN_COLUMN = 24;

interface Props {
  colours: readonly WayColour[];
  moves: readonly ColourMove[];
  /** Told how many doublings wider a colour's block was drawn. */
  onWiden: (colour: string, wider: number) => void;
}

/** The palette of what is tried as a stave: a block is taken in hand by a touch, dragged, and drawn wider or narrower by its edge. */
export function WayStave({ colours, moves, onWiden }: Props) {
  const { settings } = useSettings();
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useSize(frame);
  const hand = useHand();
  const wide = Math.max(1, width, MIN_COLUMN * colours.length);
  const columns = layStave(
    colours.map(({ share }) => share),
    wide,
    MIN_COLUMN,
  );
  const yOf = (value: number) => (1 - value / 10) * (HEIGHT - BLOCK);
  return (
    <div ref={frame} role="group" aria-label="Palette" className="mb-2 overflow-x-auto">
      <div className="relative" style={{ height: HEIGHT, width: wide }}>
        {scaleMarks(settings.scale).map(({ mark, value }) => (
          <span
            key={mark}
            aria-hidden
            className="absolute inset-x-0 h-px bg-line opacity-60"
            style={{ top: yOf(value) + BLOCK / 2 }}
          />
        ))}
        {colours.map((one, i) => {
          const isOut = moves.some(({ colour, instead }) => colour === one.id && instead !== null);
          const isHeld = hand.colour === one.id;
          const top = yOf(valueOfOklab(one.colour));
          const blockWidth = Math.max(10, columns[i].block - 2);
          return (
            <span
              key={one.id}
              className="absolute inset-y-0"
              style={{ left: columns[i].left, width: columns[i].width }}
            >
              <button
                type="button"
                title={one.name}
                aria-label={`${one.name}, in hand${isOut ? ', left out' : ''}`}
                aria-pressed={isHeld}
                {...dropOn(`colour:${one.id}`)}
                {...hand.drag(one)}
                onClick={() => hand.take(isHeld ? null : one.id)}
                className="absolute inset-0 cursor-grab touch-none"
              >
                <span
                  className={`absolute left-0 ${isHeld ? 'outline-3 outline-ink' : ''}`}
                  style={{
                    top,
                    height: BLOCK,
                    width: blockWidth,
                    background: hexFromOklab(one.colour),
                  }}
                >
                  {isOut && (
                    <span className="absolute inset-x-0 top-1/2 h-[3px] bg-sheet outline outline-ink" />
                  )}
                </span>
              </button>
              <WidthGrip
                top={top}
                left={blockWidth}
                width={columns[i].block}
                wider={moves.find(({ colour }) => colour === one.id)?.wider ?? 0}
                onWiden={(wider) => onWiden(one.id, wider)}
              />
            </span>
          );
        })}
      </div>
    </div>
  );
}

/** The right edge of a block, drawn by a hand; by keys its room is set below the stave. */
function WidthGrip({
  top,
  left,
  width,
  wider,
  onWiden,
}: {
  top: number;
  left: number;
  width: number;
  wider: number;
  onWiden: (wider: number) => void;
}) {
  const start = useRef<{ x: number; width: number; wider: number } | null>(null);
  const move = ({ clientX }: PointerEvent) => {
    if (!start.current) return;
    const drawn = Math.max(3, start.current.width + clientX - start.current.x);
    const next = start.current.wider + Math.log2(drawn / start.current.width);
    onWiden(Math.round(10 * Math.min(MAX_WIDER, Math.max(-MAX_WIDER, next))) / 10);
  };
  return (
    <span
      aria-hidden
      data-testid="width-grip"
      className="absolute z-10 w-2 cursor-ew-resize touch-none"
      style={{ top: top - 4, height: BLOCK + 8, left: left - 3 }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        start.current = { x: event.clientX, width: Math.max(4, width), wider };
      }}
      onPointerMove={move}
      onPointerUp={() => (start.current = null)}
      onPointerCancel={() => (start.current = null)}
    />
  );
}
