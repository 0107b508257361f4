'use client';

import { useEffect, useRef, useState } from 'react';
import { REPEATS, tilePlaces } from '@/core/pattern/repeat';
import { TILE_CENTIMETRES } from '@/contracts/pattern';
import { Choice } from '@/ui/choice';
import { LengthField } from '@/ui/length-field';
import { Slider } from '@/ui/slider';
import { useSize } from '@/ui/use-size';
import { imageOf } from './image-of';
import { useDrawing, type Given } from './drawing-room';
import { useScreenScale } from './use-screen-scale';
import { useChange, useContent } from './use-pattern';

/** The long side of a bank card (ISO/IEC 7810, ID-1), in centimetres: something that is at hand to measure a screen by. */
const CARD = 8.56;

/** The drawing as cloth at its true size on the screen, by one of three repeats. */
export function Cloth({ given, label }: { given: Given; label: string }) {
  const cloth = useContent((content) => content.cloth);
  const change = useChange();
  const [scale, setScale] = useScreenScale();
  const [isMeasuring, setMeasuring] = useState(false);
  return (
    <div className="flex h-full flex-col">
      <div className="flex shrink-0 flex-wrap items-end gap-x-4 gap-y-1 border-b bg-panel px-3 py-1">
        <Choice
          label="Repeat"
          showLabel={false}
          value={cloth.repeat}
          options={REPEATS.map((value) => ({ value, title: value }))}
          onChange={(repeat) => change((was) => ({ ...was, cloth: { ...was.cloth, repeat } }))}
        />
        <span className="w-36">
          <LengthField
            label="Tile width, centimetres"
            value={cloth.centimetres}
            range={[TILE_CENTIMETRES.min, TILE_CENTIMETRES.max]}
            onChange={(centimetres) =>
              change((was) => ({ ...was, cloth: { ...was.cloth, centimetres } }), 'cloth')
            }
          />
        </span>
        <button
          type="button"
          aria-expanded={isMeasuring}
          className="min-h-10 text-[15px] underline"
          onClick={() => setMeasuring(!isMeasuring)}
        >
          Is this true to size?
        </button>
      </div>
      {isMeasuring && (
        <div className="shrink-0 border-b bg-panel px-3 py-2">
          <p className="text-[15px]">
            Hold a bank card to the screen and draw the bar as long as its long side.
          </p>
          <span
            aria-hidden
            className="mt-1 block h-6 bg-ink"
            style={{ width: CARD * scale }}
            data-testid="card"
          />
          <div className="max-w-md">
            <Slider
              label="Bar"
              value={scale}
              min={20}
              max={120}
              step={0.5}
              words={`${scale.toFixed(1)} px per cm`}
              onChange={setScale}
            />
          </div>
        </div>
      )}
      <div className="min-h-0 grow">
        <ClothCanvas
          given={given}
          label={label}
          pixels={cloth.centimetres * scale}
          repeat={cloth.repeat}
        />
      </div>
    </div>
  );
}

function ClothCanvas({
  given,
  label,
  pixels,
  repeat,
}: {
  given: Given;
  label: string;
  /** That the tile is wide. */
  pixels: number;
  repeat: (typeof REPEATS)[number];
}) {
  const { worker, write, facts } = useDrawing();
  const frame = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { width, height } = useSize(frame);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (!worker || width < 1 || height < 1) return;
    let stopped = false;
    const draw = async () => {
      const tile = { width: pixels, height: (pixels * facts.height) / facts.width };
      const places = tilePlaces(repeat, tile, { width, height });
      const image = await imageOf(await write(given));
      if (stopped || !canvas.current) return;
      const density = window.devicePixelRatio || 1;
      canvas.current.width = Math.round(width * density);
      canvas.current.height = Math.round(height * density);
      const context = canvas.current.getContext('2d');
      if (!context) throw new Error('this browser can’t draw it');
      context.fillStyle = '#ffffff';
      context.fillRect(0, 0, canvas.current.width, canvas.current.height);
      const drawn = tileBitmap(image, tile.width * density, tile.height * density);
      for (const { x, y } of places) {
        // To the next whole pixel, so that nothing shines through between two.
        const [left, top] = [Math.round(x * density), Math.round(y * density)];
        const right = Math.round((x + tile.width) * density);
        const foot = Math.round((y + tile.height) * density);
        context.drawImage(drawn, left, top, right - left, foot - top);
      }
      canvas.current.dataset.drawn = '';
      setProblem(null);
    };
    draw().catch((error: Error) => {
      if (!stopped) setProblem(error.message);
    });
    return () => {
      stopped = true;
    };
  }, [worker, write, facts, given, pixels, repeat, width, height]);
  return (
    <div ref={frame} className="relative h-full w-full overflow-hidden bg-surround">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`${label}, as cloth`}
        className="absolute inset-0 h-full w-full"
        data-testid="cloth"
      />
      {problem && (
        <p role="alert" className="absolute inset-x-8 top-8 bg-panel px-4 py-3">
          {`The cloth can’t be shown: ${problem}. Make the tile larger.`}
        </p>
      )}
    </div>
  );
}

/** The tile drawn once: a vector drawn at every place would be drawn as often. */
function tileBitmap(image: HTMLImageElement, width: number, height: number): OffscreenCanvas {
  const bitmap = new OffscreenCanvas(
    Math.max(1, Math.round(width)),
    Math.max(1, Math.round(height)),
  );
  bitmap.getContext('2d')?.drawImage(image, 0, 0, bitmap.width, bitmap.height);
  return bitmap;
}
