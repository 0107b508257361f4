'use client';

import { MOST_ZONES, FEWEST_ZONES } from '@/core/measure/values';
import { MOST_SQUINT } from '@/core/picture/squint';
import { greyOfValue } from '@/core/picture/value-map';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { percent, valueWords } from '@/ui/words';
import { Button } from '@/ui/button';
import { useDesk, useDeskStore, useDocument, type Focus } from '../../desk-store';
import { useMeasured } from '../../use-drawn';
import { Finding, Section } from '../panel-parts';
import { CarryCurve } from './carry-curve';
import { Histogram } from './histogram';
import { ScaleSetting } from './scale-setting';
import { valueSentence, zoneNames } from './value-sentence';

/** The picture in values alone: how it is spread, and how it falls into zones. */
export function ValuesPanel() {
  const values = useDocument((document) => document.values);
  const { zones, breaks, squint } = values;
  const { settings } = useSettings();
  const { change } = useDeskStore().getState();
  const set = (part: Partial<typeof values>, key?: string) =>
    change((document) => ({ ...document, values: { ...document.values, ...part } }), key);
  const reading = useMeasured(`${zones} ${breaks} ${squint}`, (desk) => desk.readValues(values));
  return (
    <>
      <Finding>
        {reading ? valueSentence(reading, breaks, settings.scale) : 'Reading the values …'}
      </Finding>
      <LensChoice />
      <Slider
        label="Squint"
        words={squint === 0 ? 'none' : `${(squint * 100).toFixed(1)} %`}
        value={squint}
        min={0}
        max={MOST_SQUINT}
        step={0.001}
        onChange={(next) => set({ squint: next }, 'squint')}
      />
      {reading && (
        <Section
          title="Spread of value"
          aside={`median ${valueWords(reading.median, settings.scale)}`}
        >
          <Histogram
            counts={reading.counts}
            bounds={reading.zones.slice(1).map((zone) => zone.from)}
            scale={settings.scale}
          />
        </Section>
      )}
      {reading && (
        <Section title="How many values carry it" aside="share explained">
          <CarryCurve
            curve={reading.curve}
            carriedBy={reading.carriedBy}
            zones={zones}
            onUse={(next) => set({ zones: next, breaks: 'natural' })}
          />
        </Section>
      )}
      <Section
        title="Zones"
        aside={
          <Choice
            label="Breaks"
            showLabel={false}
            value={breaks}
            options={[
              { value: 'natural', title: 'natural' },
              { value: 'even', title: 'even' },
            ]}
            onChange={(next) => set({ breaks: next })}
          />
        }
      >
        <Slider
          label="How many"
          words={String(zones)}
          value={zones}
          min={FEWEST_ZONES}
          max={MOST_ZONES}
          onChange={(next) => set({ zones: next }, 'zones')}
        />
        {reading && <ZoneTable reading={reading} />}
      </Section>
      <ScaleSetting />
    </>
  );
}

function LensChoice() {
  const lens = useDesk((state) => state.view.lens);
  const wipe = useDesk((state) => state.view.wipe);
  const { look } = useDeskStore().getState();
  return (
    <div className="mb-3 flex gap-2">
      <Choice
        label="Seen as"
        showLabel={false}
        value={lens}
        options={[
          { value: 'picture', title: 'picture' },
          { value: 'squint', title: 'squint' },
          { value: 'greys', title: 'greys' },
          { value: 'zones', title: 'zones' },
        ]}
        onChange={(next) => look({ lens: next })}
      />
      <Button
        aria-pressed={wipe !== null}
        disabled={lens === 'picture'}
        className="grow aria-pressed:bg-ink aria-pressed:text-sheet"
        onClick={() => look({ wipe: wipe === null ? 0.5 : null })}
      >
        Wipe
      </Button>
    </div>
  );
}

function ZoneTable({
  reading,
}: {
  reading: { zones: { from: number; to: number; share: number; mean: number }[] };
}) {
  const { settings } = useSettings();
  const names = zoneNames(reading.zones.length);
  const pinned = useDesk((state) => state.pinned);
  const { set } = useDeskStore().getState();
  return (
    <table className="mt-1 w-full text-[15px]">
      <thead className="text-sm text-soft">
        <tr>
          <th className="text-left font-normal">zone</th>
          <th className="text-right font-normal">mean value</th>
          <th className="text-right font-normal">share</th>
        </tr>
      </thead>
      <tbody>
        {reading.zones
          .map((zone, i) => ({ zone, i }))
          .reverse()
          .map(({ zone, i }) => {
            const focus: Focus = { kind: 'zone', index: i };
            const isPinned = pinned?.kind === 'zone' && pinned.index === i;
            const grey = greyOfValue(zone.mean);
            return (
              <tr
                key={i}
                className="border-t"
                onMouseEnter={() => set({ hovered: focus })}
                onMouseLeave={() => set({ hovered: null })}
              >
                <td>
                  <button
                    type="button"
                    aria-pressed={isPinned}
                    onFocus={() => set({ hovered: focus })}
                    onBlur={() => set({ hovered: null })}
                    onClick={() => set({ pinned: isPinned ? null : focus })}
                    className={`flex h-10 w-full items-center gap-2 text-left ${isPinned ? 'font-semibold underline' : ''}`}
                  >
                    <span
                      className="h-6 w-10 shrink-0 border border-line"
                      style={{ background: `rgb(${grey} ${grey} ${grey})` }}
                    />
                    {names[i]}
                  </button>
                </td>
                <td className="text-right">{valueWords(zone.mean, settings.scale)}</td>
                <td className="text-right">{percent(zone.share)}</td>
              </tr>
            );
          })}
      </tbody>
    </table>
  );
}
