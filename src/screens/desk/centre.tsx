'use client';

import { keptBox, WHOLE } from '@/core/picture/framing';
import { say, showFault } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { useDesk, useDeskStore, useDocument, type Point } from './desk-store';
import { usePictureFacts } from './facts';
import { usePicture } from './picture-room';
import { CropFrame } from './stage/crop-frame';
import { Stage } from './stage/stage';
import { useDrawn } from './use-drawn';

/** The stage with what the step lays over it, or the crop's frame. */
export function Centre({ onPick }: { onPick: (place: Point) => void }) {
  const tool = useDesk((state) => state.tool);
  return tool === 'crop' ? <Cropping /> : <Looking onPick={onPick} />;
}

function Looking({ onPick }: { onPick: (place: Point) => void }) {
  const store = useDeskStore();
  const room = usePicture();
  const { settings } = useSettings();
  const step = useDesk((state) => state.view.step);
  const lens = useDesk((state) => state.view.lens);
  const at = useDesk((state) => state.view.at);
  const selected = useDesk((state) => state.selected);
  const held = useDesk((state) => state.originalHeld);
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const values = useDocument((document) => document.values);
  const framing = useDocument((document) => document.framing);
  const swatches = useDocument((document) => document.palette.swatches);

  const zonesKey = `${values.zones} ${values.breaks} ${values.squint}`;
  const lensKeys = {
    picture: null,
    squint: `squint ${values.squint}`,
    greys: 'greys',
    zones: `zones ${zonesKey}`,
  };
  const lensCanvas = useDrawn(step === 'values' ? lensKeys[lens] : null, (desk) => {
    if (lens === 'greys') return desk.greys();
    return lens === 'squint' ? desk.squint(values.squint) : desk.zones(values);
  });
  const original = useDrawn(held ? JSON.stringify(framing) : null, (desk) =>
    desk.uncorrected(framing),
  );

  const colours = swatches.map((swatch) => swatch.colour);
  const index =
    focus?.kind === 'swatch'
      ? swatches.findIndex(({ id }) => id === focus.id)
      : (focus?.index ?? -1);
  const veilKey =
    focus === null || index < 0
      ? null
      : focus.kind === 'zone'
        ? `zone ${index} ${zonesKey}`
        : `swatch ${index} ${JSON.stringify(colours)}`;
  const veil = useDrawn(veilKey, (desk) =>
    desk.veil(
      focus?.kind === 'zone' ? { kind: 'zone', index } : { kind: 'swatch', index, colours },
      values,
    ),
  );

  const marks = swatches.flatMap(({ id, area }) =>
    step === 'palette' && area && (id === selected || (focus?.kind === 'swatch' && focus.id === id))
      ? [{ id, ...room.framedArea(area), strong: id === selected }]
      : [],
  );
  if (at) marks.push({ id: 'at', ...room.framedArea(at), strong: true });

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
      showFault(error);
    }
  };

  return (
    <Stage
      lens={lensCanvas}
      original={original}
      veil={veil}
      marks={marks}
      radius={settings.pickRadius}
      onTap={(place) => {
        const { tool } = store.getState();
        if (tool === 'neutral') void takeNeutral(place);
        else if (step === 'palette') onPick(place);
      }}
    />
  );
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
