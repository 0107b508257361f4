'use client';

import { useState } from 'react';
import { carriedBy, TOLERANCE_NAMES, TOLERANCES } from '@/core/measure/carried';
import type { ZoneBody, Zone } from '@/core/measure/zones';
import { MIN_ZONES, MAX_ZONES } from '@/core/measure/zones';
import { MAX_SQUINT } from '@/core/picture/squint';
import { greyOfValue } from '@/core/picture/value-map';
import type { StudyDocument } from '@/contracts/study';
import { moveThreshold, withBreaks, withZones } from '@/study/zone-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { percent, valueWords } from '@/ui/words';
import { useDesk, useDeskStore, useDocument, useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { valuesView } from './values-view';
import { Finding, Section } from '../../panel/panel-parts';
import { CarryCurve } from './carry-curve';
import { Histogram } from './histogram';
import { LensChoice } from './lens-choice';
import { PlanDialog } from './plan-dialog';
import { Pointing } from '../../panel/pointing';
import { ScaleSetting } from './scale-setting';
import { zoneNames } from '../../zone-names';
import { valueSentence } from './value-sentence';

type Values = StudyDocument['values'];

/** How value is spread over the picture, and how it falls into zones. */
export function ZonesTab() {
  const values = useDocument((document) => document.values);
  const { zones, breaks, thresholds, squint } = values;
  const quick = useDesk((state) => state.sliding);
  const { settings, change: changeSettings } = useSettings();
  const { change, slide } = useDeskStore().getState();
  const [, look] = useStepView(valuesView);
  const [planning, setPlanning] = useState(false);
  const edit = (next: (was: Values) => Values, key?: string) =>
    change((document) => ({ ...document, values: next(document.values) }), key);

  const { value: reading, stale } = useAnswer<'values'>({
    kind: 'values',
    settings: values,
    quick,
  });
  const ends = useAnswer<'valueEnds'>(quick ? null : { kind: 'valueEnds', squint });
  const carried = reading && carriedBy(reading, settings.tolerance);
  const bodies = useAnswer<'zoneBodies'>(quick ? null : { kind: 'zoneBodies', settings: values });
  const standing =
    breaks === 'hand' ? thresholds : (reading?.zones.slice(1).map((zone) => zone.from) ?? []);
  return (
    <>
      <Finding stale={stale}>
        {reading && carried
          ? valueSentence(reading, carried, breaks, settings.scale, ends.value)
          : 'Reading the values …'}
      </Finding>
      <LensChoice />
      <Slider
        label="Squint"
        words={squint === 0 ? 'none' : `${(squint * 100).toFixed(1)} %`}
        value={squint}
        min={0}
        max={MAX_SQUINT}
        step={0.001}
        onChange={(next) => {
          slide();
          edit((was) => ({ ...was, squint: next }), 'squint');
        }}
      />
      {reading && (
        <Section
          title="Range of value"
          aside={`median ${valueWords(reading.median, settings.scale)}`}
        >
          <Histogram
            counts={reading.counts}
            thresholds={standing}
            marks={reading}
            scale={settings.scale}
            onMove={(index, to) => {
              slide();
              look({ lens: 'zones' });
              edit((was) => moveThreshold(was, standing, index, to), `threshold ${index}`);
            }}
          />
        </Section>
      )}
      {reading && carried && (
        <Section title="How many values carry it" aside="steps they stray">
          <CarryCurve
            curve={reading.curve}
            carriedBy={carried.values}
            zones={zones}
            onUse={(next) => edit((was) => ({ ...was, zones: next, breaks: 'natural' }))}
          />
          <div className="mt-2">
            <Choice
              label="May stray by"
              value={settings.tolerance}
              options={TOLERANCE_NAMES.map((name) => ({
                value: name,
                title: String(TOLERANCES[name]),
                said: `${TOLERANCES[name]} steps, ${name}`,
              }))}
              onChange={(tolerance) => changeSettings({ tolerance })}
            />
          </div>
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
              { value: 'hand', title: 'by hand' },
            ]}
            onChange={(next) => edit((was) => withBreaks(was, next, standing))}
          />
        }
      >
        <Slider
          label="How many"
          words={String(zones)}
          value={zones}
          min={MIN_ZONES}
          max={MAX_ZONES}
          onChange={(next) => {
            slide();
            edit((was) => withZones(was, next), 'zones');
          }}
        />
        {reading && <ZoneTable zones={reading.zones} bodies={bodies.stale ? null : bodies.value} />}
        <Button className="mt-3 w-full" onClick={() => setPlanning(true)}>
          Value plan to print
        </Button>
      </Section>
      <ScaleSetting />
      {planning && <PlanDialog onClose={() => setPlanning(false)} />}
    </>
  );
}

function ZoneTable({
  zones,
  bodies,
}: {
  zones: readonly Zone[];
  bodies: readonly ZoneBody[] | null;
}) {
  const { settings } = useSettings();
  const names = zoneNames(zones.length);
  return (
    <table className="mt-1 w-full text-[15px]">
      <thead className="text-sm text-soft">
        <tr>
          <th className="text-left font-normal">zone</th>
          <th className="text-right font-normal">value</th>
          <th className="text-right font-normal">share</th>
          <th className="text-right font-normal">masses</th>
          <th className="text-right font-normal">largest</th>
        </tr>
      </thead>
      <tbody>
        {zones
          .map((zone, i) => ({ zone, i, body: bodies?.length === zones.length ? bodies[i] : null }))
          .reverse()
          .map(({ zone, i, body }) => {
            const grey = greyOfValue(zone.mean);
            return (
              <tr key={i} className="border-t">
                <td>
                  <Pointing focus={{ kind: 'zone', index: i }} className="flex items-center gap-2">
                    <span
                      className="h-6 w-7 shrink-0 border border-line"
                      style={{ background: `rgb(${grey} ${grey} ${grey})` }}
                    />
                    {names[i]}
                  </Pointing>
                </td>
                <td className="text-right">{valueWords(zone.mean, settings.scale)}</td>
                <td className="text-right">{percent(zone.share)}</td>
                <td className="text-right">{body ? body.masses : '…'}</td>
                <td className="text-right">{body ? percent(body.largest) : '…'}</td>
              </tr>
            );
          })}
      </tbody>
    </table>
  );
}
