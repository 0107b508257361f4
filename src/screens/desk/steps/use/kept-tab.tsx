'use client';

import { Ellipsis } from 'lucide-react';
import { useState } from 'react';
import type { Variant } from '@/contracts/use';
import { removeVariant, renameVariant, takeVariant, type VariantKind } from '@/study/use-edits';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { TextField } from '@/ui/field';
import { Menu } from '@/ui/menu';
import { say } from '@/ui/notices';
import { Finding } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { capital, several } from '@/ui/words';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { MadePicture } from './made-picture';
import { madeQuery } from '../../made-query';
import { transferView, type UseTab } from './transfer-view';

const TAB_OF: Readonly<Record<VariantKind, UseTab>> = {
  transfer: 'palette',
  mood: 'moods',
  'what if': 'what-if',
  key: 'key',
};
const WORDS: Readonly<Record<VariantKind, string>> = {
  transfer: 'other colours',
  mood: 'mood',
  'what if': 'what if',
  key: 'one key',
};

/** The tries that are kept with the study, each as a picture. */
export function KeptTab() {
  const variants = useDocument((document) => document.use.variants);
  const [renamed, setRenamed] = useState<Variant | null>(null);
  const { change } = useDeskStore().getState();
  return (
    <>
      <Finding>
        {variants.length === 0
          ? 'No try is kept yet. The study itself stays as it is, whatever is tried.'
          : `${capital(several(variants.length, 'try is', 'tries are'))} kept with this study.`}
      </Finding>
      <ul aria-label="Kept tries" className="grid grid-cols-2 gap-3">
        {variants.map((variant) => (
          <Kept key={variant.id} variant={variant} onRename={() => setRenamed(variant)} />
        ))}
      </ul>
      <Dialog open={renamed !== null} onClose={() => setRenamed(null)} title="Rename">
        {renamed && (
          <RenameForm
            name={renamed.name}
            onDone={(name) => {
              change((was) => renameVariant(was, renamed.id, name));
              setRenamed(null);
            }}
          />
        )}
      </Dialog>
    </>
  );
}

function Kept({ variant, onRename }: { variant: Variant; onRename: () => void }) {
  const { id, name, made } = variant;
  const document = useDocument((all) => all);
  const { canvas } = usePicture();
  const { wheel } = useSettings().settings;
  const [, look] = useStepView(transferView);
  const { change } = useDeskStore().getState();
  return (
    <li>
      <button
        type="button"
        aria-label={`Try ${name} again`}
        className="block w-full bg-faint"
        style={{ aspectRatio: (canvas?.width ?? 4) / (canvas?.height ?? 3) }}
        onClick={() => {
          change((was) => takeVariant(was, id));
          look({ tab: TAB_OF[made.kind], look: 'over', mass: null, colour: null });
        }}
      >
        <MadePicture query={madeQuery(made, document, wheel, 'small')} />
      </button>
      <div className="flex items-start gap-1 pt-1">
        <span className="min-w-0 grow text-[15px] leading-snug">
          <span className="line-clamp-2 break-words" title={name}>
            {name}
          </span>
          <span className="block text-sm text-soft">{WORDS[made.kind]}</span>
        </span>
        <Menu
          trigger={
            <Button weight="quiet" aria-label={`More for ${name}`}>
              <Ellipsis size={20} aria-hidden />
            </Button>
          }
          items={[
            { title: 'Rename', onSelect: onRename },
            {
              title: 'Delete',
              onSelect: () => {
                change((was) => removeVariant(was, id));
                say(`“${name}” is deleted. Undo brings it back.`);
              },
            },
          ]}
        />
      </div>
    </li>
  );
}

function RenameForm({ name, onDone }: { name: string; onDone: (name: string) => void }) {
  const [text, setText] = useState(name);
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onDone(text.trim());
      }}
    >
      <TextField
        label="Name"
        value={text}
        maxLength={120}
        autoFocus
        onChange={(event) => setText(event.target.value)}
      />
      <div className="flex justify-end">
        <Button weight="strong" type="submit" disabled={!text.trim()}>
          Rename
        </Button>
      </div>
    </form>
  );
}
