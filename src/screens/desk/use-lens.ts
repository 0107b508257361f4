'use client';

import { MIN_LIMITED, MAX_LIMITED } from '@/core/palette/reach';
import type { StudyDocument } from '@/contracts/study';
import type { DrawnLine } from '@/workers/browser/value-calls';
import { useSettings } from '@/ui/settings';
import { stepOf } from '@/ui/words';
import { useDesk, useDocument, type Focus } from './desk-store';
import { usePushSettings } from './push-settings';
import { useDrawn, useMeasured } from './use-drawn';

const isLimit = (count: number) => count >= MIN_LIMITED && count <= MAX_LIMITED;

const zonesKey = ({ zones, breaks, thresholds, squint }: StudyDocument['values']) =>
  JSON.stringify([zones, breaks, thresholds, squint]);

/** What the step lays over the picture: another picture, and lines. */
export function useLens(): { lens: HTMLCanvasElement | null; lines: readonly DrawnLine[] } {
  const { step, topic, lens, zoneLook, aspect, warmthMap } = useDesk((state) => state.view);
  const quick = useDesk((state) => state.sliding);
  const values = useDocument((document) => document.values);
  const corrections = useDocument((document) => document.lightAndShadow.corrections);
  const { settings } = useSettings();
  const half = stepOf(settings.scale) / 2;
  const inValues = step === 'values' && topic !== 'brightness';
  const shown = inValues ? lens : 'picture';

  const keys: Partial<Record<typeof lens, string>> = {
    squint: `squint ${values.squint} ${quick}`,
    greys: 'greys',
    zones: `zones ${zoneLook} ${zonesKey(values)} ${quick}`,
    sides: `sides ${values.squint} ${JSON.stringify(corrections)}`,
    merging: 'greys',
    busy: 'busy',
  };
  const canvas = useDrawn(keys[shown] ?? null, (desk) => {
    if (shown === 'squint') return desk.squint(values.squint, quick);
    if (shown === 'zones') return desk.zones(values, zoneLook, quick);
    if (shown === 'sides') return desk.sides(values.squint, corrections);
    return shown === 'busy' ? desk.busy() : desk.greys();
  });

  const warmth = useDrawn(
    step === 'colours' && aspect === 'warmth' && warmthMap ? 'warmth' : null,
    (desk) => desk.temperature(),
  );

  const { craft, build, fitLook, takeFrom, sight } = useDesk((state) => state.view);
  const asked = usePushSettings();
  const askedKey = JSON.stringify(asked);
  const inHidden = step === 'hidden' && (sight === 'pushed' || sight === 'map') ? sight : null;
  const hiddenKeys = {
    pushed: `pushed ${askedKey} ${quick}`,
    map: `map ${askedKey} ${settings.wheel}`,
  };
  const hidden = useDrawn(inHidden && hiddenKeys[inHidden], (desk) =>
    inHidden === 'map' ? desk.hiddenMap(asked, settings.wheel) : desk.pushed(asked, quick),
  );

  const limited = useDesk((state) => state.limited);
  const colours = useDocument((document) => document.palette.swatches);
  const paletteKey = JSON.stringify(colours.map(({ colour }) => colour));
  const members = colours.filter(({ id }) => limited.includes(id)).map(({ colour }) => colour);
  const overPalette =
    step !== 'palette'
      ? null
      : craft === 'fit' && colours.length > 0
        ? fitLook
        : takeFrom !== 'picture' && craft === 'take'
          ? takeFrom
          : craft === 'build' && build === 'limit' && isLimit(members.length)
            ? 'reached'
            : null;
  const paletteKeys = {
    mapped: `mapped ${paletteKey}`,
    failing: `failing ${paletteKey}`,
    squint: `squint ${values.squint}`,
    zones: `zones ${zonesKey(values)}`,
    pushed: `pushed ${askedKey}`,
    reached: `reached ${JSON.stringify(members)}`,
  };
  const palette = useDrawn(
    overPalette && overPalette !== 'picture' ? paletteKeys[overPalette] : null,
    (desk) => {
      const all = colours.map(({ colour }) => colour);
      if (overPalette === 'reached') return desk.reached(members);
      if (overPalette === 'squint') return desk.squint(values.squint, false);
      if (overPalette === 'zones') return desk.zones(values, 'colours', false);
      if (overPalette === 'pushed') return desk.pushed(asked, false);
      return overPalette === 'failing' ? desk.failing(all) : desk.mapped(all);
    },
  );

  const merging = shown === 'merging' ? half : null;
  const lines = useMeasured(
    shown === 'edges' || shown === 'merging' ? `lines ${values.squint} ${merging}` : null,
    (desk) => desk.edgeLines(values.squint, merging),
  );
  const outlines = useMeasured(inHidden === 'map' ? `outlines ${settings.wheel}` : null, (desk) =>
    desk.hiddenOutlines(settings.wheel),
  );
  const regions = (outlines ?? []).flatMap((rings): DrawnLine[] =>
    rings.map((points) => ({ kind: 'soft', points })),
  );
  return {
    lens: canvas ?? warmth ?? hidden ?? palette,
    lines: inHidden === 'map' ? regions : (lines ?? []),
  };
}

/** A veil over all but the part that is spoken of. */
export function useVeil(focus: Focus | null): HTMLCanvasElement | null {
  const values = useDocument((document) => document.values);
  const corrections = useDocument((document) => document.lightAndShadow.corrections);
  const swatches = useDocument((document) => document.palette.swatches);
  const { settings } = useSettings();
  const step = stepOf(settings.scale);
  const colours = swatches.map((swatch) => swatch.colour);
  const index = focus?.kind === 'swatch' ? swatches.findIndex(({ id }) => id === focus.id) : -1;

  // A place is spared by the stage itself.
  const nothing =
    focus === null || focus.kind === 'place' || (focus.kind === 'swatch' && index < 0);
  const madeOf = {
    zone: zonesKey(values),
    swatch: JSON.stringify(colours),
    side: `${values.squint} ${JSON.stringify(corrections)}`,
    misled: String(step),
    masses: String(values.squint),
    hue: '',
    family: settings.wheel,
    word: '',
    hidden: settings.wheel,
    tone: '',
    place: '',
  };
  const key = nothing ? null : `${JSON.stringify(focus)} ${madeOf[focus.kind]}`;
  return useDrawn(key, (desk) => {
    switch (focus?.kind) {
      case 'zone':
        return desk.veil({ kind: 'zone', index: focus.index, settings: values });
      case 'side':
        return desk.veil({ ...focus, squint: values.squint, corrections });
      case 'misled':
        return desk.veil({ ...focus, step });
      case 'hue':
      case 'word':
      case 'tone':
        return desk.veil(focus);
      case 'family':
      case 'hidden':
        return desk.veil({ ...focus, wheel: settings.wheel });
      case 'masses':
        return desk.veil({ kind: 'masses', which: [...focus.which], squint: values.squint });
      default:
        return desk.veil({ kind: 'swatch', index, colours });
    }
  });
}
