'use client';

import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { stepOf } from '@/core/colour/value-scale';
import { massDrawing, MAX_CANVAS, MIN_CANVAS } from '@/core/plan/mass-drawing';
import type { PaintingOrder } from '@/core/transfer/plan-masses';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { ShelfContent } from '@/contracts/shelf';
import type { Medium } from '@/contracts/study';
import type { UsedColour } from '@/contracts/use';
import { Choice } from '@/ui/choice';
import { Dialog } from '@/ui/dialog';
import { LengthField } from '@/ui/length-field';
import { queryFor } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { useDocument } from '../../desk-store';
import { DrawingFiles, DrawingPreview } from '../../drawing-files';
import { GridChoice, gridOf, type ChosenGrid } from '../../grid-choice';
import { usePicture } from '../../picture-room';
import { useAnswer } from '../../use-answer';
import { usePlanLines } from './use-plan-rows';
import type { TransferQuery } from './use-transfer';

interface Props {
  query: TransferQuery;
  colours: readonly UsedColour[];
  onClose: () => void;
}

/** What is lightest is laid first where the paper is the light. */
const ORDERS: Readonly<Record<Medium, PaintingOrder>> = {
  paint: 'dark first',
  sticks: 'dark first',
  pencils: 'light first',
  washes: 'light first',
  inks: 'light first',
  screen: 'dark first',
};
const CM = 10;
/** Along the longer side until somebody says otherwise, in millimetres. */
const USUAL = 400;

/** The picture's masses with their new colours as a sheet to paint from, in the size of the canvas. */
export function PlanDialog(props: Props) {
  const { data: shelf } = useQuery(queryFor(endpoints.getShelf, {}));
  return (
    <Dialog
      open
      wide
      onClose={props.onClose}
      title="Plan to paint from"
      about="Its masses numbered in the order of painting, each with its value, its colour and what to lay."
    >
      {shelf ? (
        <PlanOf {...props} shelf={shelf.content} />
      ) : (
        <p role="status">Fetching what you have …</p>
      )}
    </Dialog>
  );
}

function PlanOf({ query, colours, shelf }: Props & { shelf: ShelfContent }) {
  const { scale } = useSettings().settings;
  const { canvas: picture } = usePicture();
  const title = useDocument((document) => document.title);
  const medium = useDocument((document) => document.medium);
  const aspect = (picture?.width ?? 4) / (picture?.height ?? 3);
  const [canvas, setCanvas] = useState(() => ({
    width: Math.round(aspect >= 1 ? USUAL : USUAL * aspect),
    height: Math.round(aspect >= 1 ? USUAL / aspect : USUAL),
  }));
  const [fill, setFill] = useState<'colours' | 'outlines'>('colours');
  const [grid, setGrid] = useState<ChosenGrid>({ grid: 'squares', short: 4 });
  const plan = useAnswer<'massPlan'>({
    kind: 'massPlan',
    ...query,
    within: stepOf(scale) / 2,
    order: ORDERS[medium],
  });
  const made = plan.stale ? null : plan.value;
  const { lines, isEmpty } = usePlanLines(made?.masses.map(({ colour }) => colour) ?? null, shelf);
  const drawing = useMemo(
    () =>
      made &&
      massDrawing(
        made,
        made.masses.map(({ of }, i) => ({
          name: of === null ? 'left as it is' : (colours[of]?.name ?? ''),
          lines: of === null ? [] : (lines?.[i] ?? []),
        })),
        {
          title,
          canvas,
          grid: gridOf(grid),
          fill,
          scale,
        },
      ),
    [made, lines, colours, title, canvas, grid, fill, scale],
  );
  const sides: [number, number] = [MIN_CANVAS / CM, MAX_CANVAS / CM];
  return (
    <div className="grid gap-6 sm:grid-cols-[1fr_19rem]">
      <DrawingPreview
        drawing={drawing}
        alt={`Plan of ${made?.masses.length ?? 0} masses with their colours`}
      />
      <div className="flex flex-col gap-3">
        <div className="grid grid-cols-2 gap-2">
          <LengthField
            label="Canvas width, cm"
            value={canvas.width / CM}
            range={sides}
            onChange={(width) => setCanvas({ ...canvas, width: width * CM })}
          />
          <LengthField
            label="Height, cm"
            value={canvas.height / CM}
            range={sides}
            onChange={(height) => setCanvas({ ...canvas, height: height * CM })}
          />
        </div>
        <Choice
          label="Shown as"
          value={fill}
          options={[
            { value: 'colours', title: 'colours' },
            { value: 'outlines', title: 'outlines' },
          ]}
          onChange={setFill}
        />
        <GridChoice {...grid} onChange={(part) => setGrid({ ...grid, ...part })} />
        <p role="status" className="text-[15px] leading-snug">
          {isEmpty
            ? `Nothing for ${medium} lies on the Bench, so the plan has no recipes.`
            : lines
              ? `What to lay is from your ${medium === 'paint' || medium === 'washes' ? 'tubes' : medium}; another medium is chosen in Mix.`
              : 'Looking for what to lay …'}
        </p>
        <DrawingFiles drawing={lines ? drawing : null} title={title} about="plan" />
      </div>
    </div>
  );
}
