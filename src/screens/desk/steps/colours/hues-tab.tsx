'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { WHEELS } from '@/core/colour/wheel';
import type { ColourStudy } from '@/core/measure/colour-study';
import type { KeyColour } from '@/core/measure/key-colour';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { Tide } from '@/ui/tide';
import { capital, percent, valueWords } from '@/ui/words';
import { useDeskStore } from '../../desk-store';
import { Finding, Fold, Section } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { huesSentence } from './colour-sentences';
import { SwatchLine } from '../../panel/swatch-line';

/** Which families there are in light and shadow, the dominant hues, and the key. */
export function HuesTab({ reading }: { reading: ColourStudy }) {
  const { hues, keyColour } = reading;
  const { settings, change } = useSettings();
  const { set } = useDeskStore().getState();
  const key = keyColour && hues.dominant.find(({ family }) => family === keyColour.family);
  return (
    <>
      <Finding focus={key ? { kind: 'hue', from: key.from, to: key.to } : null}>
        {huesSentence(hues, keyColour)}
      </Finding>
      <Section title="Hues in light and shadow" aside="light above">
        <Tide
          families={hues.families}
          onPoint={(index) => set({ hovered: index === null ? null : { kind: 'family', index } })}
        />
      </Section>
      <Section title="Dominant hues" aside="share, value, chroma">
        {hues.dominant.length === 0 && <p className="py-2 text-soft">Only greys.</p>}
        {hues.dominant.map(({ family, hue, from, to, share, value, chroma, colour }) => (
          <SwatchLine
            key={hue}
            focus={{ kind: 'hue', from, to }}
            colours={[colour]}
            aside={
              <span className="flex text-right">
                <span className="w-11">{percent(share)}</span>
                <span className="w-9">{valueWords(value, settings.scale)}</span>
                <span className="w-11">{chroma.toFixed(2)}</span>
              </span>
            }
          >
            {capital(family)}
          </SwatchLine>
        ))}
      </Section>
      {keyColour && <KeyBands keyColour={keyColour} />}
      <Fold title="Families" aside={WHEELS.find(({ id }) => id === settings.wheel)?.title}>
        <Choice
          label="Wheel"
          value={settings.wheel}
          options={WHEELS.map(({ id }) => ({ value: id, title: id }))}
          onChange={(wheel) => change({ wheel })}
        />
        <table className="mt-2 w-full text-[15px]">
          <thead className="text-sm text-soft">
            <tr>
              <th className="text-left font-normal">family</th>
              <th className="text-right font-normal">in light</th>
              <th className="text-right font-normal">in shadow</th>
            </tr>
          </thead>
          <tbody>
            {hues.families.map(({ family, light, shadow }, index) => (
              <tr key={family} className="border-t">
                <td>
                  <Pointing focus={{ kind: 'family', index }}>{family}</Pointing>
                </td>
                <td className="text-right">{percent(light)}</td>
                <td className="text-right">{percent(shadow)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Fold>
    </>
  );
}

/** Where the key turns up, from the darkest fifth of the picture to the lightest. */
function KeyBands({ keyColour }: { keyColour: KeyColour }) {
  const { settings } = useSettings();
  return (
    <Section title={`The key: ${keyColour.family}`} aside="share of what is coloured">
      <table className="w-full table-fixed text-center text-sm">
        <thead>
          <tr>
            {keyColour.bands.map(({ from, to, colour }, i) => (
              <th key={i} className="font-normal">
                <span
                  className="block h-8"
                  style={{ background: colour ? hexFromOklab(colour) : undefined }}
                />
                {valueWords((from + to) / 2, settings.scale)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            {keyColour.bands.map(({ share }, i) => (
              <td key={i}>{percent(share)}</td>
            ))}
          </tr>
        </tbody>
      </table>
    </Section>
  );
}
