'use client';

import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { CLASS_COUNT, CLASS_LEVELS } from '@/contracts/class-round';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/field';
import { FilesButton } from '@/ui/file-button';
import { download } from '@/ui/keep-file';
import { useFetched } from '@/ui/queries';
import { Select } from '@/ui/select';
import { list } from '@/ui/words';
import { readClassAnswers, type ReadAnswers } from './class-answers';
import { ClassSpread } from './class-spread';

const SEEDS = 2 ** 31 - 1;
const COUNTS = [8, 12, 20] as const;

/** The same questions for a class, as a file; and what came back of it, without names. */
export function ClassTab({ study }: { study: { id: string; title: string } | null }) {
  const { data: libraries } = useFetched(endpoints.listLibraries, {});
  const [title, setTitle] = useState(study ? `A round on ${study.title}` : 'A round for the class');
  const [source, setSource] = useState(study ? 'study' : '');
  const [count, setCount] = useState('12');
  const [level, setLevel] = useState<(typeof CLASS_LEVELS)[number]>('middle');
  const [read, setRead] = useState<ReadAnswers | null>(null);
  const isTitled = title.trim() !== '';
  const make = () =>
    download(
      hrefOf(endpoints.getClassRound, {
        query: {
          title,
          count: Math.min(CLASS_COUNT.max, Number(count)),
          level,
          seed: Math.floor(Math.random() * SEEDS),
          ...(source === 'study' && study ? { study: study.id } : {}),
          ...(source !== '' && source !== 'study' ? { library: source } : {}),
        },
      }),
    );
  return (
    <div className="grid gap-8 lg:grid-cols-[360px_1fr]">
      <section aria-label="A round for a class" className="flex flex-col gap-3">
        <h2 className="font-semibold">A round for a class</h2>
        <p className="text-soft">
          A page that runs from its file, with the network off. It asks all the same, tells each
          what was right, and gives back a file of answers without a name.
        </p>
        <TextField
          label="Title"
          value={title}
          maxLength={120}
          error={isTitled ? undefined : 'A round needs a title.'}
          onChange={({ target }) => setTitle(target.value)}
        />
        <label className="flex flex-col gap-0.5">
          <span className="text-sm text-soft">Colours of</span>
          <Select
            label="Colours of"
            wide
            value={source}
            options={[
              { value: '', title: 'made-up fields' },
              ...(study ? [{ value: 'study', title: `the study “${study.title}”` }] : []),
              ...(libraries ?? []).map(({ id, name }) => ({
                value: id,
                title: `the library “${name}”`,
              })),
            ]}
            onChange={setSource}
          />
        </label>
        <Choice
          label="Questions"
          value={count}
          options={COUNTS.map((n) => ({ value: String(n), title: String(n) }))}
          onChange={setCount}
        />
        <Choice
          label="How hard"
          value={level}
          options={CLASS_LEVELS.map((value) => ({ value, title: value }))}
          onChange={setLevel}
        />
        <Button weight="strong" disabled={!isTitled} onClick={make}>
          Make the page
        </Button>
      </section>
      <section aria-label="What came back" className="flex min-w-0 flex-col gap-3">
        <h2 className="font-semibold">What came back</h2>
        <FilesButton
          label="Open files of answers …"
          accept=".json,application/json"
          onFiles={(files) => void readClassAnswers(files).then(setRead)}
        />
        {read === null && (
          <p className="text-soft">
            Choose all files at once: how the class answered is shown question by question.
          </p>
        )}
        {read && read.refused.length > 0 && (
          <p role="alert" className="font-semibold">
            No answers to a round are in {list(read.refused)}. The others were read.
          </p>
        )}
        {read?.rounds.map((one) => (
          <ClassSpread key={one.round.id} {...one} />
        ))}
      </section>
    </div>
  );
}
