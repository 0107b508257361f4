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
const MIN_COLUMN = 16;

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
  const columns = layStave(
    colours.map(({ share }) => share),
    Math.max(1, width),
    Math.min(MIN_COLUMN, width / Math.max(1, colours.length)),
  );
  const yOf = (value: number) => (1 - value / 10) * (HEIGHT - BLOCK);
  return (
    <div
      ref={frame}
      role="group"
      aria-label="Palette"
      className="relative mb-2 overflow-hidden"
      style={{ height: HEIGHT }}
    >
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
        return (
          <span
            key={one.id}
            className="absolute"
            style={{
              left: columns[i].left,
              width: Math.max(10, columns[i].block - 2),
              top: yOf(valueOfOklab(one.colour)),
              height: BLOCK,
            }}
          >
            <button
              type="button"
              title={one.name}
              aria-label={`${one.name}, in hand${isOut ? ', left out' : ''}`}
              aria-pressed={isHeld}
              {...dropOn(`colour:${one.id}`)}
              {...hand.drag(one)}
              onClick={() => hand.take(isHeld ? null : one.id)}
              className={`absolute inset-0 cursor-grab touch-none before:absolute before:-inset-y-2 before:inset-x-0 before:content-[''] ${isHeld ? 'outline-3 outline-ink' : ''}`}
              style={{ background: hexFromOklab(one.colour) }}
            >
              {isOut && (
                <span className="absolute inset-x-0 top-1/2 h-[3px] bg-sheet outline outline-ink" />
              )}
            </button>
            <WidthGrip
              width={columns[i].block}
              wider={moves.find(({ colour }) => colour === one.id)?.wider ?? 0}
              onWiden={(wider) => onWiden(one.id, wider)}
            />
          </span>
        );
      })}
    </div>
  );
}

/** The right edge of a block, drawn by a hand; by keys its room is set below the stave. */
function WidthGrip({
  width,
  wider,
  onWiden,
}: {
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
      className="absolute -right-1.5 -inset-y-1 z-10 w-2 cursor-ew-resize touch-none"
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
