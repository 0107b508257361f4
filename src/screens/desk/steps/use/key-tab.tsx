'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { oklabFromOklch } from '@/core/colour/oklab';
import { toGamut } from '@/core/colour/gamut';
import { oklchFromOklab } from '@/core/colour/oklab';
import { familyOf, wheelOf } from '@/core/colour/wheel';
import { SCHEMES, type SchemeName } from '@/core/measure/harmony';
import { cubeText, keyTable } from '@/core/transfer/one-key';
import { withKey } from '@/study/use-edits';
import { Button } from '@/ui/button';
import { fileName, keepFile } from '@/ui/keep-file';
import { say, showError } from '@/ui/notices';
import { Finding } from '@/ui/panel-parts';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { Tick } from '@/ui/tick';
import { percent } from '@/ui/words';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { useAnswer } from '../../use-answer';
import { ExportMade } from './export-made';
import { KeepVariant } from './keep-variant';
import { LeftAlone } from './left-alone';
import { LooksChoice } from './looks-choice';
import { keySentence } from './use-sentences';

/** Everything brought toward the harmony of one key colour, for pictures that are made of several. */
export function KeyTab() {
  const { settings } = useSettings();
  const store = useDeskStore();
  const { change, slide } = store.getState();
  const { ask } = usePicture();
  const title = useDocument((document) => document.title);
  const key = useDocument((document) => document.use.key);
  const parts = useDocument((document) => document.use.parts);
  const selected = useDesk((state) => state.selected);
  const swatch = useDocument((document) =>
    document.palette.swatches.find(({ id }) => id === selected),
  );
  const wheel = wheelOf(settings.wheel);
  const { value: effect, stale } = useAnswer<'keyEffect'>({
    kind: 'keyEffect',
    key,
    wheel: wheel.id,
    parts,
  });
  const colour = toGamut(oklabFromOklch({ L: 0.66, C: 0.11, h: key.hue }));
  const about = `key ${familyOf(colour, wheel).name}`;
  /** The hue that turns up from the picture's darks to its lights. */
  const asThePicture = async () => {
    try {
      const { values, lightAndShadow } = store.getState().history.present;
      const { keyColour } = await ask<'colours'>({
        kind: 'colours',
        settings: values,
        corrections: lightAndShadow.corrections,
        wheel: wheel.id,
      });
      if (!keyColour) return say('It is so near to grey that it has no key colour.');
      change((was) => withKey(was, { hue: Math.round(keyColour.hue) }));
    } catch (error) {
      showError(error);
    }
  };
  const saveTable = () => {
    const text = cubeText(keyTable(key, wheel), `${title}, ${about}`);
    keepFile(new Blob([text], { type: 'text/plain' }), fileName(title, about, 'cube'));
  };
  return (
    <>
      <Finding stale={stale || !effect}>
        {effect ? keySentence(effect, key.degree) : 'Bringing it into one key …'}
      </Finding>
      <div className="mb-2 flex items-center gap-3 text-[15px]">
        <span
          aria-hidden
          className="block h-10 w-14 shrink-0"
          style={{ background: hexFromOklab(colour) }}
        />
        {familyOf(colour, wheel).name}
      </div>
      <div className="mb-2 flex flex-wrap gap-2">
        <Button
          disabled={!swatch}
          title={swatch ? undefined : 'Select a swatch in the tray first'}
          onClick={() =>
            swatch &&
            change((was) => withKey(was, { hue: Math.round(oklchFromOklab(swatch.colour).h) }))
          }
        >
          As the swatch
        </Button>
        <Button onClick={() => void asThePicture()}>As the picture</Button>
      </div>
      <Slider
        label="Key"
        value={key.hue}
        min={0}
        max={360}
        step={1}
        words={`${Math.round(key.hue)}°`}
        onChange={(hue) => {
          slide();
          change((was) => withKey(was, { hue }), 'key hue');
        }}
      />
      <Slider
        label="How far"
        value={key.degree}
        min={0}
        max={1}
        step={0.01}
        words={percent(key.degree)}
        onChange={(degree) => {
          slide();
          change((was) => withKey(was, { degree }), 'key degree');
        }}
      />
      <div className="mb-1 flex items-center justify-between gap-3 text-[15px]">
        <span aria-hidden>Harmony</span>
        <Select<SchemeName>
          label="Harmony"
          value={key.scheme}
          options={SCHEMES.map((value) => ({ value, title: value }))}
          onChange={(scheme) => change((was) => withKey(was, { scheme }))}
        />
      </div>
      <Tick
        checked={key.keepsSkin}
        onChange={(keepsSkin) => change((was) => withKey(was, { keepsSkin }))}
      >
        Skin stays
      </Tick>
      <Tick
        checked={key.keepsNeutrals}
        onChange={(keepsNeutrals) => change((was) => withKey(was, { keepsNeutrals }))}
      >
        Neutrals stay
      </Tick>
      <LooksChoice beside="before and after" />
      <LeftAlone />
      <div className="mt-3 flex flex-wrap gap-2">
        <KeepVariant kind="key" />
        <ExportMade kind="key" about={about} />
        <Button onClick={saveTable}>Table for other programs (.cube)</Button>
      </div>
      <p className="mt-2 text-sm leading-snug text-soft">
        {parts.length > 0
          ? 'The table knows colours and no places: parts that are left as they are change in it.'
          : 'The table has 33 points a side and gives the same picture wherever it is read.'}
      </p>
    </>
  );
}
