'use client';

import { useDrag } from '@use-gesture/react';
import { useRef, useState } from 'react';
import type { Quad } from '@/core/raster/homography';
import type { SessionCheck } from '@/contracts/session';
import type { Place } from '@/core/picture/framing';
import { Button } from '@/ui/button';
import { useSize } from '@/ui/use-size';
import { fitted } from './picture-canvas';

/** Where corners begin that were neither found nor set. */
const FIRST: Quad = [
  [0.15, 0.15],
  [0.85, 0.15],
  [0.85, 0.85],
  [0.15, 0.85],
];
const NAMES = ['upper left', 'upper right', 'lower right', 'lower left'];
const STEP = 0.005;

interface Props {
  href: string;
  corners: Quad | null;
  white: Place | null;
  /** Null lets them be looked for. */
  onCorners: (corners: SessionCheck['corners']) => void;
  onWhite: (white: Place | null) => void;
}

/** The photograph with the model's four corners, each dragged or moved by arrows, and a place of paper or grey. */
export function CornerEditor({ href, corners, white, onCorners, onWhite }: Props) {
  const room = useRef<HTMLDivElement>(null);
  const size = useSize(room);
  const [aspect, setAspect] = useState(4 / 3);
  const [moved, setMoved] = useState<Quad | null>(null);
  const [isWhite, setWhite] = useState(false);
  const shown = moved ?? corners ?? FIRST;
  const box = fitted(aspect, size.width - 48, size.height - 104);
  const move = (i: number, x: number, y: number): Quad =>
    shown.map((corner, k) => (k === i ? ([x, y] as const) : corner)) as unknown as Quad;
  const settle = (next: Quad) => {
    setMoved(null);
    onCorners(next.map(([x, y]) => [x, y]) as NonNullable<SessionCheck['corners']>);
  };
  return (
    <div ref={room} className="absolute inset-0 flex flex-col items-center justify-center gap-3">
      <div
        className="relative touch-none"
        style={box}
        data-testid="corner-editor"
        onClick={({ clientX, clientY, currentTarget }) => {
          if (!isWhite) return;
          const frame = currentTarget.getBoundingClientRect();
          setWhite(false);
          onWhite({
            x: Math.min(1, Math.max(0, (clientX - frame.left) / frame.width)),
            y: Math.min(1, Math.max(0, (clientY - frame.top) / frame.height)),
          });
        }}
      >
        <img
          src={href}
          alt="The photograph of the study"
          draggable={false}
          onLoad={({ currentTarget }) =>
            setAspect(currentTarget.naturalWidth / currentTarget.naturalHeight)
          }
          className={`h-full w-full select-none ${isWhite ? 'cursor-crosshair' : ''}`}
        />
        <svg
          aria-hidden
          viewBox="0 0 1 1"
          preserveAspectRatio="none"
          className="pointer-events-none absolute inset-0 h-full w-full overflow-visible"
        >
          {(['white', 'black'] as const).map((stroke, i) => (
            <polygon
              key={stroke}
              points={shown.map(([x, y]) => `${x},${y}`).join(' ')}
              fill="none"
              stroke={stroke}
              strokeWidth={i === 0 ? 4 : 1.5}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </svg>
        {shown.map(([x, y], i) => (
          <Handle
            key={NAMES[i]}
            name={NAMES[i]}
            x={x}
            y={y}
            box={box}
            onMove={(nx, ny) => setMoved(move(i, nx, ny))}
            onSettle={(nx, ny) => settle(move(i, nx, ny))}
          />
        ))}
        {white && (
          <span
            className="pointer-events-none absolute h-6 w-6 -translate-x-1/2 -translate-y-1/2 border-2 border-white outline-2 outline-black"
            style={{ left: `${white.x * 100}%`, top: `${white.y * 100}%` }}
            aria-hidden
          />
        )}
      </div>
      <div className="flex flex-wrap justify-center gap-2">
        <Button onClick={() => onCorners(null)}>Find the corners</Button>
        <Button aria-pressed={isWhite} onClick={() => setWhite(!isWhite)}>
          {isWhite
            ? 'Touch paper or a grey card …'
            : white
              ? 'White from another place'
              : 'Set white by a place'}
        </Button>
        {white && <Button onClick={() => onWhite(null)}>White by the paper around it</Button>}
      </div>
    </div>
  );
}

function Handle({
  name,
  x,
  y,
  box,
  onMove,
  onSettle,
}: {
  name: string;
  x: number;
  y: number;
  box: { width: number; height: number };
  onMove: (x: number, y: number) => void;
  onSettle: (x: number, y: number) => void;
}) {
  const handle = useRef<HTMLButtonElement>(null);
  const start = useRef({ x, y });
  useDrag(
    ({ first, last, movement: [dx, dy] }) => {
      if (first) start.current = { x, y };
      const bounded = (n: number) => Math.min(1.3, Math.max(-0.3, n));
      const to = [
        bounded(start.current.x + dx / box.width),
        bounded(start.current.y + dy / box.height),
      ] as const;
      if (last && (dx !== 0 || dy !== 0)) onSettle(...to);
      else onMove(...to);
    },
    { target: handle, pointer: { keys: false } },
  );
  return (
    <button
      ref={handle}
      type="button"
      aria-label={`Corner, ${name}: ${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down`}
      onKeyDown={(event) => {
        const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
          event.key
        ];
        if (!way) return;
        event.preventDefault();
        event.stopPropagation();
        onSettle(x + way[0] * STEP, y + way[1] * STEP);
      }}
      className="absolute flex h-11 w-11 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none items-center justify-center"
      style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
    >
      <span className="h-5 w-5 border-2 border-black bg-white outline outline-white" />
    </button>
  );
}
