'use client';

import { useRef, useState } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import { byPaper, PAPER, type PatchGuess } from '@/core/mixing/card-photo';
import type { Picture } from '@/core/picture/picture';
import { probe } from '@/core/picture/probe';
import { Choice } from '@/ui/choice';
import { FileButton } from '@/ui/file-button';
import { showError } from '@/ui/notices';
import { drawPictureFile } from '@/ui/picture-file';

interface Props<R extends string> {
  /** What is photographed, in words: "a card". */
  of: string;
  /** The painted patches that are wanted, each with its title. */
  roles: Readonly<Record<R, string>>;
  /** What the patches of a photograph most likely are. */
  guess: (picture: Picture) => PatchGuess<R>;
  /** A painted patch, freed of the light by the paper beside it. */
  onPatch: (role: R, colour: Oklab) => void;
}

/** The long side on which a photograph is read. */
const SIDE = 900;
const RADIUS = 0.015;

type Places<R extends string> = Partial<
  Record<R | typeof PAPER, { x: number; y: number; colour: Oklab }>
>;

/** A photograph of paint beside paper: its patches are found, and put right by a touch. */
export function PatchPhoto<R extends string>({ of, roles, guess, onPatch }: Props<R>) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [picture, setPicture] = useState<Picture | null>(null);
  const [places, setPlaces] = useState<Places<R>>({});
  const painted = Object.keys(roles) as R[];
  const all: readonly (R | typeof PAPER)[] = [PAPER, ...painted];
  const [role, setRole] = useState<R | typeof PAPER>(painted[0]);
  const titleOf = (one: R | typeof PAPER) => (one === PAPER ? 'paper' : roles[one]);

  const settle = (next: Places<R>) => {
    setPlaces(next);
    for (const one of painted) {
      const found = next[one];
      if (found) onPatch(one, next.paper ? byPaper(found.colour, next.paper.colour) : found.colour);
    }
  };
  const read = async (file: File) => {
    if (!canvas.current) return;
    try {
      const next = await drawPictureFile(file, canvas.current, SIDE);
      setPicture(next);
      const found = guess(next);
      settle(
        Object.fromEntries(
          all.flatMap((one) => {
            const patch = found[one];
            if (!patch) return [];
            const { x, y, colour } = patch;
            return [[one, { x: x + patch.width / 2, y: y + patch.height / 2, colour }]];
          }),
        ) as Places<R>,
      );
    } catch (error) {
      showError(error);
    }
  };
  const touch = (x: number, y: number) => {
    const found = picture && probe(picture, { x, y }, RADIUS);
    if (found) settle({ ...places, [role]: { x, y, colour: found.colour } });
  };
  return (
    <div>
      <FileButton
        label={`Photograph of ${of}`}
        accept="image/*"
        onFile={(file) => void read(file)}
      />
      <div className={picture ? 'mt-2' : 'hidden'}>
        <div className="relative">
          <canvas
            ref={canvas}
            aria-label={`The picture of ${of}: a touch takes a patch`}
            role="img"
            className="block w-full touch-manipulation"
            onClick={(event) => {
              const box = event.currentTarget.getBoundingClientRect();
              touch((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
            }}
          />
          {all.map((one) => {
            const place = places[one];
            return (
              place && (
                <span
                  key={one}
                  data-testid={`patch-${one}`}
                  className="pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 border border-ink bg-sheet px-1 text-xs text-ink"
                  style={{ left: `${place.x * 100}%`, top: `${place.y * 100}%` }}
                >
                  {titleOf(one)}
                </span>
              )
            );
          })}
        </div>
        <div className="mt-2">
          <Choice
            label="A touch takes"
            showLabel={false}
            fill
            value={role}
            options={all.map((value) => ({ value, title: titleOf(value) }))}
            onChange={setRole}
          />
        </div>
        <p className="mt-1 text-sm leading-snug text-soft">
          {places.paper
            ? 'The light is taken away by the paper.'
            : 'No paper was found: the colours hold only in a white light. Touch the paper.'}
        </p>
      </div>
    </div>
  );
}
