'use client';

import { useRef, useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { MAX_TILE_PIXELS } from '@/contracts/pattern-drawing';
import type { Paper } from '@/contracts/print';
import { callForFile } from '@/ui/api';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/field';
import { download, fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { Finding, Section } from '@/ui/panel-parts';
import { PaperSelect } from '@/ui/paper-select';
import { Tick } from '@/ui/tick';
import { capital, several } from '@/ui/words';
import { useDrawing } from './drawing-room';
import { imageOf } from './image-of';
import { ORIGINAL, TRIED } from './pattern-view';
import type { Shown } from './use-colourways';
import { isSaved, useContent, usePatternState } from './use-pattern';

const MIN_SIDE = 16;
const DEFAULT_SIDE = 1200;

interface Props {
  shown: Shown;
  all: ReadonlyMap<string, Shown>;
}

/** What goes out: what is looked at as SVG or PNG, and all that is kept as a sheet or a zip. */
export function ExportTab({ shown, all }: Props) {
  const { facts, patternId, title, write, worker } = useDrawing();
  const store = usePatternState();
  const drawing = useContent((content) => content.drawing);
  const original = facts.kind === 'png' ? Math.max(facts.width, facts.height) : DEFAULT_SIDE;
  const [typed, setTyped] = useState(String(Math.round(original)));
  const [paper, setPaper] = useState<Paper>('a4');
  const [favourites, setFavourites] = useState(false);
  const [busy, setBusy] = useState<string | null>(null);
  const abort = useRef<AbortController | null>(null);
  const side = Number(typed);
  const isRight = Number.isInteger(side) && side >= MIN_SIDE && side <= MAX_TILE_PIXELS;
  const ids = [...all.values()]
    .filter(({ id, favourite }) => id !== ORIGINAL && id !== TRIED && (!favourites || favourite))
    .map(({ id }) => id);
  const name = (ending: string) => fileName(title, shown.name, ending);

  const run = async (what: string, work: (signal: AbortSignal) => Promise<void>) => {
    abort.current = new AbortController();
    const { signal } = abort.current;
    setBusy(what);
    try {
      await work(signal);
    } catch (error) {
      if (!signal.aborted) showError(error);
    } finally {
      setBusy(null);
    }
  };
  const svg = () => run('SVG', async () => keepFile(await write(shown.given), name('svg')));
  const png = () =>
    run('PNG', async () =>
      keepFile(await pngOf(await write(shown.given), facts, side), name('png')),
    );
  const sheet = () =>
    run('sheet', async (signal) => {
      await isSaved(store, signal);
      const given = { id: patternId, body: { ids, paper } };
      keepFile(
        await callForFile(endpoints.printColourways, given, { signal }),
        fileName(title, 'colourways', 'pdf'),
      );
    });
  const zip = () =>
    run('zip', async (signal) => {
      await isSaved(store, signal);
      const given = { id: patternId, body: { ids, paper, side } };
      keepFile(
        await callForFile(endpoints.exportColourways, given, { signal }),
        fileName(title, 'colourways', 'zip'),
      );
    });
  return (
    <>
      <Finding>
        {ids.length === 0
          ? `${favourites ? 'No favourite is' : 'No colourway is'} kept yet; what is looked at can go out alone.`
          : `${capital(several(ids.length, favourites ? 'favourite' : 'colourway'))} and the drawing as it came.`}
      </Finding>
      <Section title={`“${shown.name}” alone`}>
        <TextField
          label="PNG: pixels along the longer side"
          inputMode="numeric"
          value={typed}
          error={isRight ? undefined : `${MIN_SIDE} to ${MAX_TILE_PIXELS}`}
          onChange={({ target }) => setTyped(target.value)}
        />
        <div className="mt-2 flex gap-2">
          <Button disabled={busy !== null || !worker} onClick={() => void svg()}>
            Save SVG
          </Button>
          <Button disabled={busy !== null || !worker || !isRight} onClick={() => void png()}>
            Save PNG tile
          </Button>
        </div>
      </Section>
      <Section title="All that is kept">
        <Tick checked={favourites} onChange={setFavourites}>
          Favourites alone
        </Tick>
        <PaperSelect paper={paper} onChange={setPaper} />
        <div className="mt-2 flex flex-wrap gap-2">
          <Button disabled={busy !== null} onClick={() => void sheet()}>
            Sheet (PDF)
          </Button>
          <Button disabled={busy !== null || !isRight} onClick={() => void zip()}>
            Everything (zip)
          </Button>
          {busy && (
            <Button weight="quiet" onClick={() => abort.current?.abort()}>
              Stop
            </Button>
          )}
        </div>
        <p role="status" className="mt-2 text-[15px] text-soft">
          {busy
            ? `Making the ${busy} …`
            : 'The zip holds each as SVG, PNG tile and library, and the sheet.'}
        </p>
      </Section>
      {facts.kind === 'png' && (
        <Button
          onClick={() => download(hrefOf(endpoints.getTraced, { id: patternId, hash: drawing }))}
        >
          The picture as it came
        </Button>
      )}
      {facts.leftOut.length > 0 && (
        <Section title="Left out of all that goes out">
          <ul className="text-[15px] leading-snug">
            {facts.leftOut.map((what) => (
              <li key={what} className="break-words">
                {what}
              </li>
            ))}
          </ul>
        </Section>
      )}
    </>
  );
}

/** The drawing as PNG, so many pixels along its longer side. */
async function pngOf(
  blob: Blob,
  { width, height }: { width: number; height: number },
  side: number,
): Promise<Blob> {
  const scale = side / Math.max(width, height);
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(width * scale)),
    Math.max(1, Math.round(height * scale)),
  );
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser can’t draw off screen.');
  context.drawImage(await imageOf(blob), 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/png' });
}
