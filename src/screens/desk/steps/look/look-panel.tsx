'use client';

import { Crop, Pipette } from 'lucide-react';
import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { AIMS, KINDS, MAX_AIMS } from '@/contracts/study';
import { Button } from '@/ui/button';
import { NoteField, TextField } from '@/ui/field';
import { Slider } from '@/ui/slider';
import { hexFromOklab } from '@/core/colour/hex';
import { colourName } from '@/core/colour/name';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { usePictureFacts } from '../../facts';
import { lookSentence } from './look-sentence';
import { Finding, Fold, Section } from '../../panel/panel-parts';

/** Say what the study is for; bring the picture upright; take out a cast. */
export function LookPanel() {
  const document = useDocument((whole) => whole);
  return (
    <>
      <Finding>{lookSentence(document)}</Finding>
      <Aims />
      <Framing />
      <Neutral />
      <About />
    </>
  );
}

function Aims() {
  const aims = useDocument((document) => document.aims);
  const { change } = useDeskStore().getState();
  const [own, setOwn] = useState('');
  const full = aims.length >= MAX_AIMS;
  const offered = [...AIMS, ...aims.filter((aim) => !(AIMS as readonly string[]).includes(aim))];
  const toggle = (aim: string) =>
    change((document) => ({
      ...document,
      aims: aims.includes(aim)
        ? aims.filter((other) => other !== aim)
        : [...aims, aim].slice(-MAX_AIMS),
    }));
  const addOwn = () => {
    const aim = own.trim();
    if (aim && !aims.includes(aim)) toggle(aim);
    setOwn('');
  };
  return (
    <Section title="Aim" aside={full ? 'two chosen' : 'one or two'}>
      <div className="flex flex-wrap gap-1.5">
        {offered.map((aim) => (
          <button
            key={aim}
            type="button"
            aria-pressed={aims.includes(aim)}
            disabled={full && !aims.includes(aim)}
            onClick={() => toggle(aim)}
            className="min-h-10 border border-line px-3 text-[15px] enabled:hover:bg-faint disabled:text-soft aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:font-semibold aria-pressed:text-sheet"
          >
            {aim}
          </button>
        ))}
      </div>
      {!full && (
        <form
          className="mt-2 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            addOwn();
          }}
        >
          <div className="grow">
            <TextField
              label="or in your own words"
              value={own}
              maxLength={120}
              onChange={(event) => setOwn(event.target.value)}
            />
          </div>
          <Button type="submit">Add</Button>
        </form>
      )}
    </Section>
  );
}

function Framing() {
  const framing = useDocument((document) => document.framing);
  const tool = useDesk((state) => state.tool);
  const { change, set } = useDeskStore().getState();
  const touched = framing.angle !== 0 || framing.crop !== null;
  return (
    <Section
      title="Crop and straighten"
      aside={
        touched ? (
          <Reset
            label="Undo the crop and straightening"
            onClick={() =>
              change((document) => ({ ...document, framing: { angle: 0, crop: null } }))
            }
          />
        ) : (
          'the original stays whole'
        )
      }
    >
      <Slider
        label="Turn"
        words={`${framing.angle > 0 ? '+' : ''}${framing.angle.toFixed(1)}°`}
        min={-15}
        max={15}
        step={0.1}
        value={framing.angle}
        onChange={(angle) =>
          change((document) => ({ ...document, framing: { ...document.framing, angle } }), 'angle')
        }
      />
      <Button
        aria-pressed={tool === 'crop'}
        className="w-full"
        onClick={() => set({ tool: tool === 'crop' ? 'look' : 'crop' })}
      >
        <Crop size={18} aria-hidden /> {tool === 'crop' ? 'Keep this crop' : 'Crop'}
      </Button>
    </Section>
  );
}

function Neutral() {
  const neutral = useDocument((document) => document.neutral);
  const tool = useDesk((state) => state.tool);
  const { change, set } = useDeskStore().getState();
  const choosing = tool === 'neutral';
  return (
    <Section
      title="Neutral point"
      aside={
        neutral ? (
          <Reset
            label="Put the cast back"
            onClick={() => change((document) => ({ ...document, neutral: null }))}
          />
        ) : (
          'as it came'
        )
      }
    >
      {neutral && (
        <p className="mb-2 flex items-center gap-2 text-[15px]">
          <span className="h-6 w-6 shrink-0" style={{ background: hexFromOklab(neutral.cast) }} />
          It came as {colourName(neutral.cast)}, and is shown as grey.
        </p>
      )}
      <Button
        aria-pressed={choosing}
        className="w-full"
        onClick={() => set({ tool: choosing ? 'look' : 'neutral' })}
      >
        <Pipette size={18} aria-hidden />
        {choosing ? 'Now click what ought to be grey' : 'Click something that ought to be grey'}
      </Button>
    </Section>
  );
}

function About() {
  const picture = usePictureFacts();
  const document = useDocument((whole) => whole);
  const { change } = useDeskStore().getState();
  const text = (key: 'title' | 'maker' | 'source' | 'rights') => ({
    value: document[key],
    onChange: (event: { target: { value: string } }) => {
      const { value } = event.target;
      change((was) => ({ ...was, [key]: value }), key);
    },
  });
  const { width, height, name } = picture;
  return (
    <Fold title="About the picture" aside={document.maker || `${width} × ${height}`}>
      <div className="flex flex-col gap-2">
        <TitleField />
        <TextField label="Maker" maxLength={200} {...text('maker')} />
        <NoteField label="Source" maxLength={1000} rows={2} {...text('source')} />
        <TextField label="Right to use it" maxLength={1000} {...text('rights')} />
        <fieldset>
          <legend className="text-sm text-soft">Kind</legend>
          <div className="flex flex-wrap gap-1.5">
            {KINDS.map((kind) => (
              <button
                key={kind}
                type="button"
                aria-pressed={document.kind === kind}
                onClick={() => change((was) => ({ ...was, kind: was.kind === kind ? null : kind }))}
                className="min-h-10 border border-line px-3 text-[15px] hover:bg-faint aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:font-semibold aria-pressed:text-sheet"
              >
                {kind}
              </button>
            ))}
          </div>
        </fieldset>
        <p className="text-sm break-all text-soft">
          File:{' '}
          <a
            className="inline-flex min-h-10 items-center underline"
            href={hrefOf(endpoints.getPicture, { id: picture.id, rendition: 'original' })}
          >
            {name}
          </a>
        </p>
      </div>
    </Fold>
  );
}

/** A title can be empty while it is typed, but not when it is left. */
function TitleField() {
  const title = useDocument((document) => document.title);
  const { change } = useDeskStore().getState();
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <TextField
      label="Title"
      maxLength={200}
      value={typed ?? title}
      error={
        typed !== null && typed.trim() === ''
          ? 'A study needs a title; the old one stays until there is one.'
          : undefined
      }
      onChange={(event) => {
        const next = event.target.value;
        setTyped(next);
        if (next.trim()) change((document) => ({ ...document, title: next.trim() }), 'title');
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

function Reset({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <button type="button" onClick={onClick} className="-my-2 min-h-10 underline">
      {label}
    </button>
  );
}
