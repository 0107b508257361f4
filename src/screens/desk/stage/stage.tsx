'use client';

import { useGesture } from '@use-gesture/react';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Circle, Group, Image, Layer, Stage as Konva } from 'react-konva';
import { useDesk, useDeskStore, type Point } from '../desk-store';
import { usePicture } from '../picture-room';
import { pannedBy, placeAt, viewportOf, zoomedAt } from './viewport';
import { WipeHandle } from './wipe-handle';

interface Props {
  /** Laid over the picture, from the wipe's line on. */
  lens: HTMLCanvasElement | null;
  /** Shown in place of everything while the person holds the key for it. */
  original: HTMLCanvasElement | null;
  /** Dims all but one part. */
  veil: HTMLCanvasElement | null;
  /** Areas to mark, in fractions of the framed picture, radius a share of its diagonal. */
  marks: readonly { id: string; x: number; y: number; radius: number; strong: boolean }[];
  /** The radius of the area under the pointer. */
  radius: number;
  onTap: (place: Point) => void;
}

const STEP = 0.01;

/** The picture on its surround: zoom, pan, what lies over it, and the place that is pointed at. */
export function Stage({ lens, original, veil, marks, radius, onTap }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const store = useDeskStore();
  const { canvas } = usePicture();
  const { zoom, centre, wipe } = useDesk((state) => state.view);
  const tool = useDesk((state) => state.tool);
  const pointer = useDesk((state) => state.pointer);
  const picture = { width: canvas?.width ?? 1, height: canvas?.height ?? 1 };
  const viewport = viewportOf({ zoom, centre }, picture, size);
  const diagonal = Math.hypot(picture.width, picture.height);

  const onStage = ([x, y]: readonly number[]): Point => {
    const box = frame.current?.getBoundingClientRect();
    return { x: x - (box?.left ?? 0), y: y - (box?.top ?? 0) };
  };
  const placeUnder = (xy: readonly number[]): Point | null => {
    const place = placeAt(onStage(xy), viewport, picture);
    return place.x >= 0 && place.x < 1 && place.y >= 0 && place.y < 1 ? place : null;
  };
  const looking = () => store.getState().view;
  const zoomBy = (factor: number, point: Point) =>
    store.getState().look(zoomedAt(looking(), factor, point, picture, size));

  useGesture(
    {
      onMove: ({ xy, touches, dragging }) => {
        if (touches < 2 && !dragging) store.getState().set({ pointer: placeUnder(xy) });
      },
      onHover: ({ hovering }) => {
        if (!hovering) store.getState().set({ pointer: null });
      },
      onDrag: ({ tap, xy, delta: [x, y], pinching, cancel }) => {
        if (pinching) return cancel();
        if (!tap) return store.getState().look(pannedBy(looking(), { x, y }, picture, size));
        const place = placeUnder(xy);
        store.getState().set({ pointer: place });
        if (place) onTap(place);
      },
      onPinch: ({ origin, delta: [change], offset: [scale], memo, event }) => {
        event.preventDefault();
        const before = (memo as number | undefined) ?? scale - change;
        zoomBy(scale / before, onStage(origin));
        return scale;
      },
      onWheel: ({ event, delta: [, y], ctrlKey }) => {
        if (ctrlKey) return;
        event.preventDefault();
        zoomBy(Math.exp(-y / 400), onStage([event.clientX, event.clientY]));
      },
    },
    {
      target: frame,
      eventOptions: { passive: false },
      // Arrow keys move the place that is read; they are no drag.
      drag: { filterTaps: true, pointer: { touch: true, keys: false } },
      pinch: { scaleBounds: { min: 0.01, max: 100 } },
    },
  );

  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? STEP * 5 : STEP;
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    const at = store.getState().pointer ?? { x: 0.5, y: 0.5 };
    if (move) {
      event.preventDefault();
      store.getState().set({ pointer: { x: hold(at.x + move[0]), y: hold(at.y + move[1]) } });
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onTap(at);
    }
  };

  const from = wipe === null ? 0 : wipe * picture.width;
  return (
    <div
      ref={frame}
      role="application"
      aria-label="The picture. Arrow keys move the place that is read; Enter takes it; plus and minus zoom."
      tabIndex={0}
      onKeyDown={onKeyDown}
      className={`relative h-full w-full touch-none overflow-hidden bg-surround select-none ${tool === 'look' ? '' : 'cursor-crosshair'}`}
      data-testid="stage"
      data-drawn={canvas !== null}
    >
      {canvas && (
        <Konva width={size.width} height={size.height} listening={false}>
          <Layer
            listening={false}
            x={viewport.x}
            y={viewport.y}
            scaleX={viewport.scale}
            scaleY={viewport.scale}
          >
            <Image image={canvas} alt="" />
            {lens && !original && (
              <Group
                clipX={from}
                clipY={0}
                clipWidth={picture.width - from}
                clipHeight={picture.height}
              >
                <Image image={lens} alt="" />
              </Group>
            )}
            {veil && !original && <Image image={veil} alt="" />}
            {original && (
              <Image image={original} alt="" width={picture.width} height={picture.height} />
            )}
          </Layer>
          <Layer listening={false}>
            {marks.map((mark) => (
              <Ring
                key={mark.id}
                x={viewport.x + mark.x * picture.width * viewport.scale}
                y={viewport.y + mark.y * picture.height * viewport.scale}
                radius={mark.radius * diagonal * viewport.scale}
                strong={mark.strong}
              />
            ))}
            {pointer && (
              <Ring
                x={viewport.x + pointer.x * picture.width * viewport.scale}
                y={viewport.y + pointer.y * picture.height * viewport.scale}
                radius={radius * diagonal * viewport.scale}
                strong={tool !== 'look'}
              />
            )}
          </Layer>
        </Konva>
      )}
      {lens && wipe !== null && !original && (
        <WipeHandle
          left={viewport.x + from * viewport.scale}
          top={Math.max(0, viewport.y)}
          height={Math.min(size.height, picture.height * viewport.scale)}
          wipe={wipe}
          onMove={(clientX) => {
            const { x } = placeAt(onStage([clientX, 0]), viewport, picture);
            store.getState().look({ wipe: hold(x) });
          }}
          onChange={(next) => store.getState().look({ wipe: hold(next) })}
        />
      )}
    </div>
  );
}

/** Black in white, so that it is seen on every colour. */
function Ring({ x, y, radius, strong }: { x: number; y: number; radius: number; strong: boolean }) {
  const r = Math.max(3, radius);
  return (
    <>
      <Circle x={x} y={y} radius={r + 1} stroke="#ffffff" strokeWidth={strong ? 2.5 : 1.5} />
      <Circle x={x} y={y} radius={r} stroke="#000000" strokeWidth={strong ? 1.5 : 0.75} />
    </>
  );
}

function hold(n: number): number {
  return Math.min(1, Math.max(0, n));
}

/** The size of an element, followed as it changes. */
export function useSize(element: React.RefObject<HTMLElement | null>): {
  width: number;
  height: number;
} {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!element.current) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry.contentRect;
      setSize({ width: Math.round(width), height: Math.round(height) });
    });
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [element]);
  return size;
}
