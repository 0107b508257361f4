import { Button } from '@/ui/button';
import type { Arrival } from './use-import';

const WORDS = {
  sending: 'Sending',
  looking: 'Looking at the file',
  'working copy': 'Making the working copy',
  palette: 'Reading values and palette',
  keeping: 'Keeping it',
};

/** Pictures on their way in, each with its stage, and those that were refused, each with the reason. */
export function Arrivals({ arrivals }: { arrivals: readonly Arrival[] }) {
  if (arrivals.length === 0) return null;
  return (
    <ul aria-label="Pictures on their way in" className="mb-8 border-y">
      {arrivals.map((arrival) => (
        <li key={arrival.id} className="flex min-h-14 items-center gap-4 not-first:border-t">
          <span className="w-48 shrink-0 truncate font-semibold max-sm:w-24" title={arrival.name}>
            {arrival.name}
          </span>
          {arrival.refused ? (
            <p role="alert" className="grow py-2">
              {arrival.refused}
            </p>
          ) : (
            <>
              <p role="status" className="w-56 max-sm:w-28">
                {WORDS[arrival.progress.stage]}
              </p>
              <progress
                aria-label={`Importing ${arrival.name}`}
                value={arrival.progress.done}
                max={1}
                className="h-1 grow"
              />
            </>
          )}
          <Button weight="quiet" onClick={arrival.stop}>
            {arrival.refused ? 'Put away' : 'Stop'}
          </Button>
        </li>
      ))}
    </ul>
  );
}
