'use client';

import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { removeLook, saveLook, takeLook } from '@/study/hidden-edits';
import { Button } from '@/ui/button';
import { showError } from '@/ui/notices';
import { useDeskStore, useDocument } from '../../desk-store';
import { newId } from '@/study/edits';
import { Section } from '../../panel/panel-parts';
import { pushWords } from '../../push-words';

/** Pushes kept under a name. */
export function Looks() {
  const { looks, push } = useDocument((document) => document.hidden);
  const { change } = useDeskStore().getState();
  const [name, setName] = useState('');
  const save = () => {
    const title = name.trim();
    if (!title) return;
    try {
      change((document) => saveLook(document, title, newId));
      setName('');
    } catch (error) {
      showError(error);
    }
  };
  return (
    <Section
      title="Looks"
      aside={looks.length > 0 ? `${looks.length} kept` : 'settings under a name'}
    >
      <ul>
        {looks.map((look) => (
          <li key={look.id} className="flex items-center gap-2 border-b">
            <button
              type="button"
              aria-pressed={JSON.stringify(look.push) === JSON.stringify(push)}
              className="min-h-10 min-w-0 grow truncate text-left text-[15px] aria-pressed:font-semibold"
              title={pushWords(look.push)}
              onClick={() => change((document) => takeLook(document, look.id))}
            >
              {look.name} <span className="font-normal text-soft">{pushWords(look.push)}</span>
            </button>
            <Button
              weight="quiet"
              aria-label={`Delete the look ${look.name}`}
              onClick={() => change((document) => removeLook(document, look.id))}
            >
              <Trash2 size={17} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <input
          aria-label="Name of the look"
          placeholder="A name for this look"
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.target.value)}
          className="min-h-10 min-w-0 grow border border-line bg-sheet px-3"
        />
        <Button type="submit" disabled={name.trim() === ''}>
          Keep
        </Button>
      </form>
    </Section>
  );
}
