'use client';

import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { Button } from './button';
import { Dialog } from './dialog';
import type { Query } from './queries';
import { capital, list } from './words';

interface State {
  revision: number;
  savedAt: string;
}

interface Props<S extends State, C> {
  title: string;
  open: boolean;
  onClose: () => void;
  /** What is known of each state, the newest first. */
  states: Query<S[]>;
  /** A state as a whole. */
  stateAt: (revision: number) => Query<C>;
  /** What was done to reach a state; `first` is the oldest that is kept. */
  words: (state: S, first: boolean) => string[];
  /** Shows a state. */
  children: (content: C) => ReactNode;
  onRestore: (content: C) => void;
}

/** What a document was before, with the way back; going back is a change like any other, and can be undone. */
export function HistoryDialog<S extends State, C>(props: Props<S, C>) {
  const { open, onClose, title } = props;
  return (
    <Dialog
      open={open}
      onClose={onClose}
      wide
      title={title}
      about="The last state of each sitting of changes is kept."
    >
      {open && <States {...props} />}
    </Dialog>
  );
}

function States<S extends State, C>(props: Props<S, C>) {
  const { states, words } = props;
  const [shown, setShown] = useState<number | null>(null);
  const { data, error } = useQuery(states);
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <p role="status">Looking …</p>;
  return (
    <ol>
      {data.map((state, i) => (
        <li key={state.revision} className="border-t py-2 last:border-b">
          <div className="flex flex-wrap items-center gap-3">
            <p className="min-w-0 grow">
              <strong>{format(new Date(state.savedAt), 'd MMM yyyy, HH:mm')}</strong>
              {i === 0 && ' (as it is)'}
              <br />
              <span className="text-[15px]">
                {capital(list(words(state, i === data.length - 1)))}.
              </span>
            </p>
            {i > 0 && shown !== state.revision && (
              <Button onClick={() => setShown(state.revision)}>Look at it</Button>
            )}
          </div>
          {shown === state.revision && <Shown {...props} revision={state.revision} />}
        </li>
      ))}
    </ol>
  );
}

function Shown<S extends State, C>({
  revision,
  stateAt,
  children,
  onRestore,
  onClose,
}: Props<S, C> & { revision: number }) {
  const { data, error } = useQuery(stateAt(revision));
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <p role="status">Looking …</p>;
  return (
    <div className="mt-2 bg-panel p-2">
      {children(data)}
      <Button
        weight="strong"
        className="mt-2"
        onClick={() => {
          onRestore(data);
          onClose();
        }}
      >
        Go back to this
      </Button>
    </div>
  );
}
