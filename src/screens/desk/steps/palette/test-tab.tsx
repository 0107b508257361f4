'use client';

import { Plus } from 'lucide-react';
import { hexFromOklab } from '@/core/colour/hex';
import { shortName } from '@/core/colour/name';
import { placeWords } from '@/core/picture/place-words';
import { MAX_TRAY } from '@/contracts/study';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { capital, percent } from '@/ui/words';
import { useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { usePalette } from '../../use-palette';
import { Finding, Section } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { testSentence } from '@/palette/palette-sentence';
import { paletteView } from './palette-view';
import { useTestedPalette } from './tested-palette';

/** The picture in nothing but the palette, where that fails, and what is missing. */
export function TestTab() {
  const palette = usePalette();
  const { name, colours, state } = useTestedPalette();
  const [{ testLens }, look] = useStepView(paletteView);
  const { value: fit, stale } = useAnswer<'fit'>(
    colours.length > 0 ? { kind: 'fit', colours } : null,
  );
  if (state === 'loading') return <Finding>Fetching the palette …</Finding>;
  if (colours.length === 0 && name !== null)
    return (
      <>
        <Finding>
          {state === 'gone'
            ? 'The library that was to be tried is not in the Drawers.'
            : `There is no colour in “${name}” yet.`}
        </Finding>
        <Button onClick={() => look({ of: '' })}>Try the tray</Button>
      </>
    );
  if (colours.length === 0)
    return <Finding>Pick some colours first: there is nothing to test on the picture.</Finding>;
  return (
    <>
      <Finding stale={stale}>
        {fit ? testSentence(fit, colours.length) : 'Testing the palette on it …'}
      </Finding>
      {name !== null && (
        <p className="mb-3 flex items-center justify-between gap-2 text-[15px]">
          <span>
            “{name}” of the Drawers, not the tray, is tried on the picture
            {colours.length === MAX_TRAY && `: its first ${MAX_TRAY} swatches`}.
          </span>
          <Button onClick={() => look({ of: '' })}>The tray</Button>
        </p>
      )}
      <div className="mb-3">
        <Choice
          label="What is shown"
          showLabel={false}
          fill
          value={testLens}
          options={[
            { value: 'mapped', title: 'in the palette only' },
            { value: 'failing', title: 'where it fails' },
            { value: 'picture', title: 'picture' },
          ]}
          onChange={(next) => look({ testLens: next })}
        />
      </div>
      {fit && fit.missing.length > 0 && (
        <Section title="Missing" aside="share, how far (ΔE00)">
          {fit.missing.map(({ colour, share, point, difference }, i) => (
            <div key={i} className="flex items-center gap-1 border-b">
              <Pointing
                focus={point ? { kind: 'place', ...point, radius: 0.06 } : null}
                className="flex items-center gap-2 text-[15px]"
              >
                <span className="h-8 w-8 shrink-0" style={{ background: hexFromOklab(colour) }} />
                <span className="grow leading-tight">
                  {capital(shortName(colour))}
                  {point && `, ${placeWords(point)}`}
                </span>
                <span className="shrink-0 text-right">
                  {percent(share)}, {difference.toFixed(0)}
                </span>
              </Pointing>
              <Button
                weight="quiet"
                aria-label={`Add ${shortName(colour)}`}
                onClick={() => palette.addFound(colour, point)}
              >
                <Plus size={18} aria-hidden />
              </Button>
            </div>
          ))}
        </Section>
      )}
    </>
  );
}
