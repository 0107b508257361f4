'use client';

import { useEffect, useRef, useState } from 'react';
import { paletteNames } from '@/core/colour/name';
import { hexFromOklab } from '@/core/colour/hex';
import type { SheetStroke } from '@/core/sheet/read-sheet';
import type { ItemKind, ShelfItem } from '@/contracts/shelf';
import { newId } from '@/study/edits';
import { ITEM_NOUN } from '@/study/shelf-items';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/field';
import { FileButton } from '@/ui/file-button';
import { say, showError } from '@/ui/notices';
import { Section } from '@/ui/panel-parts';
import { drawPictureFile } from '@/ui/picture-file';
import { capital, several } from '@/ui/words';
import { startSheetReader, type SheetReader } from '@/workers/browser/start-sheets';

interface Props {
  kind: ItemKind;
  onAdd: (items: readonly ShelfItem[]) => void;
}

/** The long side on which a sheet is read. */
const SIDE = 1600;
/** A touch this near to a mark, in widths of the picture, is on it. */
const ON_MARK = 0.022;

/** A photographed sheet of strokes: found, numbered and named in reading order, put right by a touch, and added as a set. */
export function SheetPhoto({ kind, onAdd }: Props) {
  const noun = ITEM_NOUN[kind];
  const canvas = useRef<HTMLCanvasElement>(null);
  const reader = useRef<SheetReader | null>(null);
  useEffect(() => () => reader.current?.stop(), []);
  const [strokes, setStrokes] = useState<readonly SheetStroke[] | null>(null);
  const [before, setBefore] = useState<readonly SheetStroke[][]>([]);
  const [isReading, setReading] = useState(false);
  const [set, setSet] = useState('');
  const [first, setFirst] = useState('1');

  const read = async (file: File) => {
    if (!canvas.current) return;
    setReading(true);
    try {
      const picture = await drawPictureFile(file, canvas.current, SIDE);
      reader.current ??= startSheetReader();
      setStrokes(await reader.current.read(picture));
      setBefore([]);
    } catch (error) {
      showError(error);
    } finally {
      setReading(false);
    }
  };
  const settle = (next: readonly SheetStroke[]) => {
    if (strokes) setBefore([...before, [...strokes]]);
    setStrokes(next);
  };
  /** Takes the stroke there away, or takes what is there for one. */
  const touch = (x: number, y: number, aspect: number) => {
    if (!strokes) return;
    const away = (stroke: SheetStroke) => Math.hypot(stroke.x - x, (stroke.y - y) / aspect);
    const nearest = strokes.reduce(
      (best, stroke, i) => (best < 0 || away(stroke) < away(strokes[best]) ? i : best),
      -1,
    );
    if (nearest >= 0 && away(strokes[nearest]) < ON_MARK)
      settle(strokes.filter((_, i) => i !== nearest));
    else
      reader.current
        ?.colourAt(x, y)
        .then((colour) => settle(inserted(strokes, { colour, x, y, supposed: false })))
        .catch(showError);
  };
  const from = Math.max(0, Math.floor(Number(first)) || 1);
  const add = () => {
    if (!strokes) return;
    const names = paletteNames(strokes.map(({ colour }) => colour));
    onAdd(
      strokes.map(({ colour }, i) => ({
        id: newId(),
        name: names[i],
        set: set.trim(),
        number: String(from + i),
        colour,
        standing: 'here',
      })),
    );
    say(`${capital(several(strokes.length, noun))} added.`);
    setStrokes(null);
    setBefore([]);
  };
  return (
    <Section title="From a photographed sheet">
      <p className="mb-2 text-sm leading-snug text-soft">
        One stroke of each in rows on white paper, photographed from above in even light.
      </p>
      <FileButton
        label={isReading ? 'Reading …' : 'Photograph of a sheet'}
        accept="image/*"
        onFile={(file) => void read(file)}
      />
      <div className={strokes ? 'mt-2' : 'hidden'}>
        <div className="relative">
          <canvas
            ref={canvas}
            role="img"
            aria-label="The sheet: a touch on a number takes the stroke away, beside it adds one"
            className="block w-full touch-manipulation"
            onClick={(event) => {
              const box = event.currentTarget.getBoundingClientRect();
              touch(
                (event.clientX - box.left) / box.width,
                (event.clientY - box.top) / box.height,
                box.width / box.height,
              );
            }}
          />
          {strokes?.map(({ x, y, colour, supposed }, i) => (
            <span
              key={i}
              data-testid="stroke"
              className={`pointer-events-none absolute flex h-4 min-w-4 -translate-x-1/2 -translate-y-1/2 items-center justify-center border px-px text-[10px] leading-none ${supposed ? 'border-dashed' : ''} ${colour.L > 0.6 ? 'border-black text-black' : 'border-white text-white'}`}
              style={{
                left: `${x * 100}%`,
                top: `${y * 100}%`,
                background: hexFromOklab(colour),
              }}
            >
              {from + i}
            </span>
          ))}
        </div>
        <p className="mt-1 text-[15px] leading-snug" aria-live="polite" data-testid="sheet-finding">
          {strokes && foundSentence(strokes)}
        </p>
        <div className="mt-1 grid grid-cols-[minmax(0,1fr)_6.5rem] gap-2">
          <TextField
            label="Name of the set"
            value={set}
            maxLength={120}
            onChange={(event) => setSet(event.target.value)}
          />
          <TextField
            label="First number"
            inputMode="numeric"
            value={first}
            maxLength={6}
            onChange={(event) => setFirst(event.target.value)}
          />
        </div>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button weight="strong" disabled={!strokes || strokes.length === 0} onClick={add}>
            {strokes ? `Add ${several(strokes.length, noun)}` : 'Add'}
          </Button>
          <Button
            disabled={before.length === 0}
            onClick={() => {
              setStrokes(before[before.length - 1]);
              setBefore(before.slice(0, -1));
            }}
          >
            Back one touch
          </Button>
        </div>
      </div>
    </Section>
  );
}

function foundSentence(strokes: readonly SheetStroke[]): string {
  if (strokes.length === 0)
    return 'No strokes were found. Is all of the paper in the picture, and lighter than what it lies on?';
  const supposed = strokes.filter((stroke) => stroke.supposed).length;
  const found = `${capital(several(strokes.length, 'stroke'))}, numbered in reading order.`;
  return supposed > 0
    ? `${found} ${capital(several(supposed, 'one', 'ones'))} in dashes can hardly be told from the paper.`
    : found;
}

/** A stroke put where it is read: after the last that lies in its row to the left of it, or in a row above. */
function inserted(strokes: readonly SheetStroke[], stroke: SheetStroke): SheetStroke[] {
  const nearest = strokes.reduce<SheetStroke | null>(
    (best, one) =>
      !best ||
      Math.hypot(one.x - stroke.x, one.y - stroke.y) <
        Math.hypot(best.x - stroke.x, best.y - stroke.y)
        ? one
        : best,
    null,
  );
  if (!nearest) return [stroke];
  const at = strokes.indexOf(nearest);
  const isAfter =
    Math.abs(stroke.x - nearest.x) >= Math.abs(stroke.y - nearest.y)
      ? stroke.x > nearest.x
      : stroke.y > nearest.y;
  return strokes.toSpliced(isAfter ? at + 1 : at, 0, stroke);
}
