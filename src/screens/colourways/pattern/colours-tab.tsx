'use client';

import type { Colourway } from '@/core/pattern/colourway';
import { ENDS_HELD, MAPPINGS } from '@/core/pattern/map-paints';
import { STARTS } from '@/core/pattern/way-colours';
import { MAX_INKS, MIN_INKS } from '@/core/mixing/inks';
import { choose, coloursInUse, moveWayColour } from '@/study/pattern-edits';
import { DEFAULT_CHOICE } from '@/core/pattern/colourway';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Finding, Fold, Section } from '@/ui/panel-parts';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { Tick } from '@/ui/tick';
import { capital, several } from '@/ui/words';
import { ColourInHand } from './colour-in-hand';
import { colourwayFinding } from './colourway-finding';
import { useDrawing } from './drawing-room';
import { dropOn } from './hand';
import { PaintList } from './paint-list';
import { Sources } from './sources';
import { useDuplicates } from './use-duplicates';
import { useChange, useContent } from './use-pattern';
import { WayStave } from './way-stave';

const AS_COMES = 'as it comes';
const NONE = '';

interface Props {
  tried: Colourway | null;
  onPoint: (paints: readonly string[] | null) => void;
  /** Leads to the near-duplicates. */
  onDuplicates: () => void;
}

/** The colourway that is tried: whose colours, how they go onto the drawing, and what is changed by hand. */
export function ColoursTab({ tried, onPoint, onDuplicates }: Props) {
  const drawing = useDrawing();
  const { settings } = useSettings();
  const change = useChange();
  const choice = useContent((content) => content.choice);
  const sources = useContent((content) => content.sources);
  const duplicates = useDuplicates();
  const inUse = coloursInUse({ sources });
  const isPlain = JSON.stringify(choice) === JSON.stringify({ ...DEFAULT_CHOICE });
  return (
    <>
      <Finding>
        {tried
          ? colourwayFinding(tried, drawing, settings.scale)
          : 'Whose colours shall it have? Take a library, a study, or single swatches.'}
      </Finding>
      {duplicates > 0 && (
        <p className="mb-3 border-l-3 border-ink pl-2 text-[15px] leading-snug">
          {`${capital(several(duplicates, 'near-duplicate is', 'near-duplicates are'))} not merged: it can come out patchy. `}
          <button type="button" className="min-h-10 underline" onClick={onDuplicates}>
            Look at them
          </button>
        </p>
      )}
      {tried && (
        <>
          <WayStave
            colours={tried.palette}
            moves={choice.moves}
            onWiden={(colour, wider) => change(moveWayColour(colour, { wider }), `wider ${colour}`)}
          />
          <ColourInHand colours={tried.palette} />
          <Choice
            label="Colours go"
            value={choice.by}
            options={MAPPINGS.map((value) => ({ value, title: `by ${value}` }))}
            onChange={(by) => change(choose({ by }))}
          />
          <div className="mt-1 grid grid-cols-2 gap-1">
            <Select
              wide
              label="Start from"
              value={choice.start ?? AS_COMES}
              options={[
                { value: AS_COMES, title: 'palette as it comes' },
                ...STARTS.map((value) => ({ value, title: `palette, ${value}` })),
              ]}
              onChange={(start) =>
                change(
                  choose({ start: start === AS_COMES ? null : (start as typeof choice.start) }),
                )
              }
            />
            <span {...dropOn('ground')}>
              <Select
                wide
                label="Ground"
                value={choice.ground ?? NONE}
                options={[
                  { value: NONE, title: 'ground as it falls' },
                  ...tried.palette.map(({ id, name }) => ({ value: id, title: `ground: ${name}` })),
                ]}
                onChange={(ground) => change(choose({ ground: ground || null }))}
              />
            </span>
          </div>
          <Slider
            label="All hues"
            value={choice.turn}
            min={-180}
            max={180}
            step={5}
            words={`${choice.turn}°`}
            onChange={(turn) => change(choose({ turn }), 'turn')}
          />
          <Fold
            title="Ends, tints and inks"
            aside={[
              choice.ends === 'fixed' && 'ends fixed',
              choice.tints && 'tints',
              choice.inks !== null && `${choice.inks} inks`,
            ]
              .filter(Boolean)
              .join(', ')}
          >
            <Choice
              label="Darkest and lightest"
              value={choice.ends}
              options={ENDS_HELD.map((value) => ({ value, title: value }))}
              onChange={(ends) => change(choose({ ends }))}
            />
            <Tick checked={choice.tints} onChange={(tints) => change(choose({ tints }))}>
              Tints: each shape at its own value
            </Tick>
            <Select
              wide
              label="Inks"
              value={String(choice.inks ?? NONE)}
              options={[
                { value: NONE, title: 'as many inks as colours' },
                ...Array.from({ length: MAX_INKS - MIN_INKS + 1 }, (_, i) => ({
                  value: String(MIN_INKS + i),
                  title: `no more than ${MIN_INKS + i} inks`,
                })),
              ]}
              onChange={(inks) => change(choose({ inks: inks === NONE ? null : Number(inks) }))}
            />
            {choice.inks !== null && (
              <Tick
                checked={choice.overprint}
                onChange={(overprint) => change(choose({ overprint }))}
              >
                Inks overprint: two over each other are one more
              </Tick>
            )}
            {tried.inks && (
              <p className="text-[15px] leading-snug">
                {`Printed: ${tried.inks.inks.map(({ name }) => name).join(', ')} on ${tried.inks.paper.name}.`}
              </p>
            )}
          </Fold>
          {!isPlain && (
            <Button className="mb-3 w-full" onClick={() => change(choose(DEFAULT_CHOICE))}>
              Back to the palette as it comes
            </Button>
          )}
        </>
      )}
      <Sources />
      {tried && inUse.length > 0 && (
        <PaintList tried={tried} onPoint={(paint) => onPoint(paint === null ? null : [paint])} />
      )}
      {!tried && inUse.length === 0 && sources.length > 0 && (
        <Section title="No colours in use">Tick one of the sources above.</Section>
      )}
    </>
  );
}
