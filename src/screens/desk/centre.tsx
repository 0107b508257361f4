'use client';

import { keptBox, WHOLE } from '@/core/picture/framing';
import { say, showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { useDesk, useDeskStore, useDocument, type Point } from './desk-store';
import { usePictureFacts } from './facts';
import { usePicture } from './picture-room';
import { CropFrame } from './stage/crop-frame';
import { Stage } from './stage/stage';
import { useFocalMarks } from './steps/values/use-focal-marks';
import { TwoPictures } from './steps/hidden/two-pictures';
import { useHiddenMarks } from './steps/hidden/use-hidden-marks';
import { useProtecting } from './steps/hidden/use-protecting';
import { TwoGreys } from './steps/values/two-greys';
import { useCorrecting } from './use-correcting';
import { useRegion } from './use-region';
import { useDrawn } from './use-drawn';
import { useLens, useVeil } from './use-lens';

/** The stage with what the step lays over it, the crop's frame, or two greys side by side. */
export function Centre({ onPick }: { onPick: (place: Point) => void }) {
  const tool = useDesk((state) => state.tool);
  const twoGreys = useDesk(({ view }) => view.step === 'values' && view.topic === 'brightness');
  const sight = useDesk(({ view }) => (view.step === 'hidden' ? view.sight : null));
  if (tool === 'crop') return <Cropping />;
  // A hand that draws needs the one picture it draws on.
  if (tool === 'look' && (sight === 'beside' || sight === 'greys'))
    return <TwoPictures greys={sight === 'greys'} />;
  return twoGreys ? <TwoGreys /> : <Looking onPick={onPick} />;
}

function Looking({ onPick }: { onPick: (place: Point) => void }) {
  const store = useDeskStore();
  const room = usePicture();
  const { settings } = useSettings();
  const { step, topic, at, pair, asked } = useDesk((state) => state.view);
  const tool = useDesk((state) => state.tool);
  const brush = useDesk((state) => state.brush);
  const selected = useDesk((state) => state.selected);
  const held = useDesk((state) => state.originalHeld);
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const framing = useDocument((document) => document.framing);
  const swatches = useDocument((document) => document.palette.swatches);
  const { lens, lines } = useLens();
  const veil = useVeil(focus);
  const correct = useCorrecting();
  const takeRegion = useRegion();
  const protect = useProtecting();
  const hiddenMarks = useHiddenMarks();
  const places = useFocalMarks();
  const region = useDocument((document) => document.palette.region);
  const loop =
    step === 'palette' && region
      ? [...region, region[0]].map((point) => room.framedArea({ ...point, radius: 0 }))
      : null;
  const original = useDrawn(held ? JSON.stringify(framing) : null, (desk) =>
    desk.uncorrected(framing),
  );

  const marks: Parameters<typeof Stage>[0]['marks'][number][] = swatches.flatMap(({ id, area }) =>
    step === 'palette' && area && (id === selected || (focus?.kind === 'swatch' && focus.id === id))
      ? [{ id, ...room.framedArea(area), strong: id === selected }]
      : [],
  );
  if (at) marks.push({ id: 'at', ...room.framedArea(at), strong: true });
  if (step === 'values' && topic === 'parting')
    pair.forEach((place, i) =>
      marks.push({
        id: `pair ${i}`,
        ...room.framedArea({ ...place, radius: 0 }),
        radius: settings.pickRadius,
        strong: true,
        label: i === 0 ? 'A' : 'B',
      }),
    );
  if (step === 'colours' && asked)
    marks.push({
      id: 'asked',
      ...room.framedArea({ ...asked, radius: 0 }),
      radius: settings.pickRadius,
      strong: true,
    });
  marks.push(...places, ...hiddenMarks);

  const takeNeutral = async (place: Point) => {
    try {
      const area = room.originalArea(place, settings.pickRadius);
      const found = await room.desk.probeWorking(area, area.radius);
      if (!found) return say('There is no picture at this place.');
      if (found.colour.L < 0.12)
        return say(
          'That is too dark to tell the light by. Click something lighter that ought to be grey.',
        );
      store
        .getState()
        .change((document) => ({ ...document, neutral: { ...area, cast: found.colour } }));
      store.getState().set({ tool: 'look' });
    } catch (error) {
      showError(error);
    }
  };

  return (
    <Stage
      lens={lens}
      original={original}
      veil={veil}
      spot={focus?.kind === 'place' ? focus : null}
      lines={loop ? [{ kind: 'found', points: loop }] : lines}
      marks={marks}
      radius={tool === 'brush' ? brush.radius : settings.pickRadius}
      onStroke={takeRegion ?? protect ?? correct}
      loops={tool === 'lasso' || tool === 'region'}
      onTap={(place) => {
        if (tool === 'neutral') void takeNeutral(place);
        else if (tool === 'brush') (protect ?? correct)?.([place]);
        else if (tool === 'region') store.getState().set({ tool: 'look' });
        else if (step === 'palette') onPick(place);
        else if (step === 'colours') {
          const { x, y } = room.originalArea(place, 0);
          store.getState().look({ asked: { x, y } });
        } else if (step === 'values' && topic === 'parting')
          store.getState().look({ pair: withPlace(pair, room.originalArea(place, 0)) });
      }}
    />
  );
}

/** A new pair of places: the first, then the second, then the one nearer to it moves. */
function withPlace(pair: readonly Point[], { x, y }: Point): Point[] {
  const place = { x, y };
  if (pair.length < 2) return [...pair, place];
  const away = pair.map((one) => Math.hypot(one.x - x, one.y - y));
  return away[0] < away[1] ? [place, pair[1]] : [pair[0], place];
}

function Cropping() {
  const store = useDeskStore();
  const framing = useDocument((document) => document.framing);
  const { width, height } = usePictureFacts();
  const whole = useDrawn(`whole ${framing.angle}`, (desk) =>
    desk.uncorrected({ angle: framing.angle, crop: WHOLE }),
  );
  return (
    <CropFrame
      whole={whole}
      box={keptBox(framing, width / height)}
      onChange={(box) =>
        store
          .getState()
          .change(
            (document) => ({ ...document, framing: { ...document.framing, crop: box } }),
            'crop',
          )
      }
      onDone={() => store.getState().set({ tool: 'look' })}
    />
  );
}
