'use client';

import type Konva from 'konva';
import { useEffect, useRef } from 'react';
import { Image, Layer, Rect, Stage as KonvaStage, Transformer } from 'react-konva';
import type { Box } from '@/core/picture/framing';
import { Button } from '@/ui/button';
import { useSize } from '@/ui/use-size';
import { viewportOf } from './viewport';

interface Props {
  /** The whole picture, straightened. */
  whole: HTMLCanvasElement | null;
  box: Box;
  onChange: (box: Box) => void;
  onDone: () => void;
}

const MIN_SIDE = 0.02;
const NUDGE = 0.005;

/** The whole picture with the frame that is kept: drag it, or its corners and sides. */
export function CropFrame({ whole, box, onChange, onDone }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const rect = useRef<Konva.Rect>(null);
  const transformer = useRef<Konva.Transformer>(null);
  const size = useSize(frame);
  const width = whole?.width ?? 1;
  const height = whole?.height ?? 1;
  const { x, y, scale } = viewportOf(
    { zoom: 1, centre: { x: 0.5, y: 0.5 } },
    { width, height },
    size,
  );
  const wide = width * scale;
  const high = height * scale;

  useEffect(() => {
    if (rect.current && transformer.current) transformer.current.nodes([rect.current]);
  }, [whole]);

  const read = () => {
    const node = rect.current;
    if (!node) return;
    const next = held({
      x: (node.x() - x) / wide,
      y: (node.y() - y) / high,
      width: (node.width() * node.scaleX()) / wide,
      height: (node.height() * node.scaleY()) / high,
    });
    node.scale({ x: 1, y: 1 });
    onChange(next);
  };

  const onKeyDown = (event: React.KeyboardEvent) => {
    const along = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const down = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (event.key === 'Enter') return onDone();
    if (!along && !down) return;
    event.preventDefault();
    const dx = (along ?? 0) * NUDGE;
    const dy = (down ?? 0) * NUDGE;
    onChange(
      held(
        event.shiftKey
          ? { ...box, width: box.width + dx, height: box.height + dy }
          : { ...box, x: box.x + dx, y: box.y + dy },
      ),
    );
  };

  return (
    <div
      ref={frame}
      role="application"
      aria-label="Crop. Arrow keys move the frame, with Shift they size it; Enter is done."
      tabIndex={0}
      onKeyDown={onKeyDown}
      className="relative h-full w-full touch-none overflow-hidden bg-surround"
      data-testid="crop-frame"
    >
      {whole && size.width > 0 && (
        <KonvaStage width={size.width} height={size.height}>
          <Layer listening={false}>
            <Image image={whole} alt="" x={x} y={y} width={wide} height={high} />
            {/* What is cut away steps back. */}
            <Rect x={x} y={y} width={wide} height={box.y * high} fill="rgba(119,119,119,0.8)" />
            <Rect
              x={x}
              y={y + (box.y + box.height) * high}
              width={wide}
              height={(1 - box.y - box.height) * high}
              fill="rgba(119,119,119,0.8)"
            />
            <Rect
              x={x}
              y={y + box.y * high}
              width={box.x * wide}
              height={box.height * high}
              fill="rgba(119,119,119,0.8)"
            />
            <Rect
              x={x + (box.x + box.width) * wide}
              y={y + box.y * high}
              width={(1 - box.x - box.width) * wide}
              height={box.height * high}
              fill="rgba(119,119,119,0.8)"
            />
          </Layer>
          <Layer>
            <Rect
              ref={rect}
              x={x + box.x * wide}
              y={y + box.y * high}
              width={box.width * wide}
              height={box.height * high}
              stroke="#ffffff"
              strokeWidth={1}
              strokeScaleEnabled={false}
              draggable
              onDragMove={read}
              onTransform={read}
            />
            <Transformer
              ref={transformer}
              rotateEnabled={false}
              flipEnabled={false}
              keepRatio={false}
              ignoreStroke
              anchorSize={16}
              anchorCornerRadius={0}
              anchorStroke="#000000"
              anchorFill="#ffffff"
              borderStroke="#000000"
            />
          </Layer>
        </KonvaStage>
      )}
      <Button weight="strong" onClick={onDone} className="absolute right-4 bottom-4">
        Keep this crop
      </Button>
    </div>
  );
}

/** A box inside the picture and not too small to see. */
function held(box: Box): Box {
  const width = Math.min(1, Math.max(MIN_SIDE, box.width));
  const height = Math.min(1, Math.max(MIN_SIDE, box.height));
  return {
    width,
    height,
    x: Math.min(1 - width, Math.max(0, box.x)),
    y: Math.min(1 - height, Math.max(0, box.y)),
  };
}
