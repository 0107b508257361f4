'use client';

import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { INTENSITY_WORDS, type IntensityWord } from '@/core/colour/intensity';
import { TEMPERATURE_WORDS } from '@/core/colour/temperature';
import { scaleMarks } from '@/core/colour/value-scale';
import type { Wheel } from '@/core/colour/wheel';
import {
  GREY,
  LIBRARY_SORTS,
  MAX_NEAR,
  DEFAULT_NEAR,
  type Facets,
  type LibrarySearch,
  type LibrarySort,
} from '@/contracts/library-search';
import { useState } from 'react';
import { RangeSlider } from '@/ui/range-slider';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { initials } from '@/ui/tide';
import { valueWords } from '@/ui/words';
import { familyName, intensityRange, toggled, withNear } from './search-address';
import { CountBars } from '@/ui/count-bars';

interface Props {
  search: LibrarySearch;
  facets: Facets;
  wheel: Wheel;
  onChange: (search: LibrarySearch) => void;
}

const SORT_TITLES: Record<LibrarySort, string> = {
  changed: 'last changed first',
  own: 'in my own order',
  name: 'by name',
  swatches: 'most swatches first',
  nearest: 'nearest first',
};
const INTENSITY_SHORT: Record<IntensityWord, string> = {
  neutral: 'neu',
  greyed: 'grey',
  dull: 'dull',
  moderate: 'mod',
  strong: 'str',
  vivid: 'viv',
};
const TEMPERATURE_TITLES = { cool: 'cool', between: 'neither', warm: 'warm' };

/** The criteria for swatches, with how many match each. */
export function AskStrip({ search, facets, wheel, onChange }: Props) {
  const { settings } = useSettings();
  const change = (part: Partial<LibrarySearch>) => onChange({ ...search, ...part });
  const families = [...wheel.families.keys(), GREY];
  const [lowest, highest] = search.values ?? [0, 10];
  const words = (value: number) => valueWords(value, settings.scale);
  const first = search.intensities ? INTENSITY_WORDS.indexOf(search.intensities[0]) : 0;
  const last = search.intensities
    ? INTENSITY_WORDS.indexOf(search.intensities[1])
    : INTENSITY_WORDS.length - 1;
  const countOf = (of: number) => facets.families.find((one) => one.of === of)?.count ?? 0;
  const marks = scaleMarks(settings.scale);
  const markAt = (value: number) =>
    String(marks.find((mark) => Math.abs(mark.value - value) < 0.01)?.mark ?? '');
  return (
    <section
      aria-label="Ask by colour"
      className="grid gap-x-5 gap-y-3 border-b border-ink pb-3 pointer-coarse:grid-cols-1! sm:grid-cols-2 xl:grid-cols-[minmax(0,1fr)_minmax(20.5rem,1.7fr)_minmax(17rem,1.4fr)_minmax(0,1fr)]"
    >
      <NearColour search={search} onChange={onChange} />
      <div>
        <h2 className="text-sm font-semibold">Family</h2>
        <CountBars
          label="Family"
          bars={families.map((place) => ({
            short: place === GREY ? 'grey' : initials(wheel.families[place]),
            title: familyName(place, wheel),
            count: countOf(place),
            on: search.families.includes(place),
          }))}
          onToggle={(at) => change({ families: toggled(search.families, families[at]) })}
        />
        <div className="mt-1 flex items-center gap-1" role="group" aria-label="Temperature">
          {TEMPERATURE_WORDS.map((word) => {
            const on = search.temperature === word;
            const count = facets.temperatures.find(({ of }) => of === word)?.count ?? 0;
            return (
              <button
                key={word}
                type="button"
                aria-pressed={on}
                onClick={() => change({ temperature: on ? null : word })}
                className={`min-h-10 grow border px-2 text-sm ${on ? 'border-ink bg-ink font-semibold text-sheet' : 'border-line bg-sheet hover:border-ink'}`}
              >
                {TEMPERATURE_TITLES[word]} <span className="tabular-nums">{count}</span>
              </button>
            );
          })}
        </div>
      </div>
      <div>
        <h2 className="flex justify-between text-sm font-semibold">
          Value
          <span className="font-normal text-soft">
            {search.values ? `${words(lowest)} to ${words(highest)}` : 'any'}
          </span>
        </h2>
        <CountBars
          label="Value"
          bars={facets.values.map((count, value) => ({
            short: markAt(value),
            title: `value ${words(value)}`,
            count,
            on: search.values !== null && value >= lowest && value <= highest,
          }))}
          onToggle={(value) =>
            change({
              values:
                lowest === value - 0.5 && highest === value + 0.5
                  ? null
                  : [Math.max(0, value - 0.5), Math.min(10, value + 0.5)],
            })
          }
        />
        <RangeSlider
          label="Value"
          value={[lowest, highest]}
          min={0}
          max={10}
          step={0.5}
          wordsOf={words}
          onChange={([from, to]) => change({ values: from === 0 && to === 10 ? null : [from, to] })}
        />
      </div>
      <div>
        <h2 className="flex justify-between text-sm font-semibold">
          Intensity
          <span className="font-normal text-soft">
            {!search.intensities
              ? 'any'
              : first === last
                ? INTENSITY_WORDS[first]
                : `${INTENSITY_WORDS[first]} to ${INTENSITY_WORDS[last]}`}
          </span>
        </h2>
        <CountBars
          label="Intensity"
          bars={INTENSITY_WORDS.map((word, at) => ({
            short: INTENSITY_SHORT[word],
            title: word,
            count: facets.intensities[at]?.count ?? 0,
            on: search.intensities !== null && at >= first && at <= last,
          }))}
          onToggle={(at) =>
            change({
              intensities: first === at && last === at ? null : intensityRange(at, at),
            })
          }
        />
        <RangeSlider
          label="Intensity"
          value={[first, last]}
          min={0}
          max={INTENSITY_WORDS.length - 1}
          step={1}
          wordsOf={(at) => INTENSITY_WORDS[at]}
          onChange={([from, to]) => change({ intensities: intensityRange(from, to) })}
        />
      </div>
    </section>
  );
}

/** The colour that is to be near, typed or taken, and how near. */
function NearColour({ search, onChange }: Pick<Props, 'search' | 'onChange'>) {
  const { near } = search;
  const hex = near ? hexFromOklab(near.colour) : '';
  const [typed, setTyped] = useState<string | null>(null);
  const take = (text: string) => {
    const colour = oklabFromHex(text);
    if (colour) onChange(withNear(search, { colour, within: near?.within ?? DEFAULT_NEAR }));
    else if (text.trim() === '') onChange(withNear(search, null));
  };
  return (
    <div>
      <h2 className="flex justify-between text-sm font-semibold">
        Near a colour
        <span className="font-normal text-soft">
          {near ? `ΔE ${near.within.toFixed(1)}` : 'any'}
        </span>
      </h2>
      <div className="mt-1 flex h-10 items-stretch gap-2">
        <label className="relative w-12 shrink-0 border border-line">
          <span
            className="absolute inset-0"
            style={near ? { background: hex } : undefined}
            aria-hidden
          />
          <input
            type="color"
            aria-label="Choose the colour to be near"
            value={hex || '#808080'}
            onChange={(event) => take(event.target.value)}
            className="absolute inset-0 h-full w-full cursor-pointer opacity-0"
          />
        </label>
        <input
          aria-label="Colour to be near, as hex"
          placeholder="#rrggbb"
          value={typed ?? hex}
          maxLength={7}
          onChange={(event) => {
            setTyped(event.target.value);
            take(event.target.value);
          }}
          onBlur={() => setTyped(null)}
          className="h-10 w-full min-w-0 border border-line bg-sheet px-1.5 text-[15px] placeholder:text-soft"
        />
        {near && (
          <button
            type="button"
            aria-label="Near no colour"
            onClick={() => onChange(withNear(search, null))}
            className="min-h-10 min-w-8 shrink-0 text-lg hover:bg-faint pointer-coarse:min-w-10"
          >
            ×
          </button>
        )}
      </div>
      <Slider
        bare
        disabled={!near}
        label="within"
        said="How near, in CIEDE2000"
        value={near?.within ?? DEFAULT_NEAR}
        min={1}
        max={MAX_NEAR}
        step={0.5}
        words={`ΔE ${(near?.within ?? DEFAULT_NEAR).toFixed(1)}`}
        onChange={(within) => near && onChange({ ...search, near: { ...near, within } })}
      />
    </div>
  );
}

/** Tags, makers and the order: the criteria for whole libraries. */
export function LibraryAsk({ search, facets, onChange }: Omit<Props, 'wheel'>) {
  const tags = facets.tags.filter(({ of }) => !search.tags.includes(of));
  return (
    <>
      {(tags.length > 0 || search.tags.length > 0) && (
        <Select
          label="Tag"
          value=""
          options={[
            { value: '', title: search.tags.length > 0 ? 'one more tag' : 'any tag' },
            ...tags.map(({ of, count }) => ({ value: of, title: `${of} (${count})` })),
          ]}
          onChange={(tag) => tag && onChange({ ...search, tags: [...search.tags, tag] })}
        />
      )}
      {search.tags.map((tag) => (
        <button
          key={tag}
          type="button"
          aria-label={`Without the tag ${tag}`}
          onClick={() => onChange({ ...search, tags: toggled(search.tags, tag) })}
          className="min-h-10 border border-ink bg-ink px-2.5 text-[15px] font-semibold text-sheet"
        >
          {tag} ×
        </button>
      ))}
      {(facets.makers.length > 0 || search.maker !== null) && (
        <Select
          label="Maker"
          value={search.maker ?? ''}
          strong={search.maker !== null}
          options={[
            { value: '', title: 'any maker' },
            ...facets.makers.map(({ of, count }) => ({ value: of, title: `${of} (${count})` })),
          ]}
          onChange={(maker) => onChange({ ...search, maker: maker || null })}
        />
      )}
      <Select
        label="Order"
        value={search.sort}
        options={LIBRARY_SORTS.filter((sort) => sort !== 'nearest' || search.near).map((sort) => ({
          value: sort,
          title: SORT_TITLES[sort],
        }))}
        onChange={(sort) => onChange({ ...search, sort })}
      />
    </>
  );
}
