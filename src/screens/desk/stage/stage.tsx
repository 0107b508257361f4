'use client';

import { useRef } from 'react';
import { Group, Image, Layer, Stage as Konva } from 'react-konva';
import type { DrawnLine } from '@/contracts/desk-query/desk-answers';
import { useDesk, useDeskStore } from '../desk-store';
import { usePicture } from '../picture-room';
import type { Mark } from '../step';
import type { Drawn } from '../use-answer';
import type { Point } from '../view';
import { clampToUnit, readingKeys } from './reading-keys';
import { Drawing, EdgeLines, Ring, Spot } from './shapes';
import { useSize } from '@/ui/use-size';
import { useStageGestures } from './use-stage-gestures';
import { placeAt, viewportOf } from './viewport';
import { WipeHandle } from './wipe-handle';

interface Props {
  /** Laid over the picture, from the wipe's line on. */
  lens: Drawn | null;
  /** Shown in place of everything while the person holds the key for it. */
  original: HTMLCanvasElement | null;
  /** Dims all but one part. */
  veil: HTMLCanvasElement | null;
  /** Leaves one round place clear and dims the rest. */
  spot: Area | null;
  lines: readonly DrawnLine[];
  /** Areas to mark, each with a label if it has one. */
  marks: readonly Mark[];
  /** The radius of the area under the pointer. */
  radius: number;
  onTap: (place: Point) => void;
  /** Takes a stroke of the brush or a loop of the lasso; without it, dragging pans the picture. */
  onStroke: ((points: Point[]) => void) | null;
  /** Whether what is drawn is closed to a loop. */
  loops: boolean;
}

/** In fractions of the framed picture, the radius a share of its diagonal. */
interface Area extends Point {
  radius: number;
}

/** The picture on its surround: zoom, pan, what lies over it, and the place that is pointed at. */
export function Stage(props: Props) {
  const { original, veil, spot, lines, marks, radius, onTap, onStroke, loops } = props;
  const lens = props.lens?.canvas ?? null;
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
  const drawing = useStageGestures(frame, { onStage, picture, size, viewport, onTap, onStroke });

  const from = wipe === null ? 0 : wipe * picture.width;
  return (
    <div
      ref={frame}
      role="application"
      aria-label="The picture. Arrow keys move the place that is read; Enter takes it; plus and minus zoom."
      tabIndex={0}
      onKeyDown={readingKeys(store, onTap)}
      className={`relative h-full w-full touch-none overflow-hidden bg-surround select-none ${tool === 'look' ? '' : 'cursor-crosshair'}`}
      data-testid="stage"
      data-drawn={canvas !== null}
      data-covered={lens !== null || undefined}
      data-stale={props.lens?.stale || undefined}
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
                <Image image={lens} alt="" width={picture.width} height={picture.height} />
              </Group>
            )}
            {veil && !original && <Image image={veil} alt="" />}
            {spot && !original && (
              <Spot
                {...picture}
                x={spot.x * picture.width}
                y={spot.y * picture.height}
                radius={spot.radius * diagonal}
              />
            )}
            {original && (
              <Image image={original} alt="" width={picture.width} height={picture.height} />
            )}
          </Layer>
          <Layer listening={false}>
            {!original && <EdgeLines lines={lines} viewport={viewport} picture={picture} />}
            {drawing.length > 0 && (
              <Drawing
                points={drawing.flatMap(({ x, y }) => [
                  viewport.x + x * picture.width * viewport.scale,
                  viewport.y + y * picture.height * viewport.scale,
                ])}
                width={loops ? null : 2 * radius * diagonal * viewport.scale}
              />
            )}
            {marks.map((mark) => (
              <Ring
                key={mark.id}
                label={mark.label}
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
            store.getState().look({ wipe: clampToUnit(x) });
          }}
          onChange={(next) => store.getState().look({ wipe: clampToUnit(next) })}
        />
      )}
    </div>
  );
}
