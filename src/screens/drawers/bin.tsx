'use client';

import { differenceInCalendarDays, format } from 'date-fns';
import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { BinnedLibrary } from '@/contracts/library';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { say, showError } from '@/ui/notices';
import { useChanged, useStored } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { capital, several } from '@/ui/words';
import { BackRoom } from './back-room';

/** What was put into the bin, with the way back, until it is let go of. */
export function BinPage({ libraries: brought }: { libraries: BinnedLibrary[] }) {
  const libraries = useStored(endpoints.listBin, {}, brought);
  const changed = useChanged(endpoints.listBin);
  const { settings } = useSettings();
  const [confirming, setConfirming] = useState<string | null>(null);
  const act = (action: () => Promise<unknown>) => action().then(changed, showError);
  return (
    <BackRoom>
      <h1 className="mb-1 font-serif text-3xl">The bin</h1>
      <p className="mb-4 text-soft">
        {libraries.length === 0
          ? 'Nothing lies here. What you put into the bin can be taken out for thirty days.'
          : `${capital(several(libraries.length, 'library', 'libraries'))}; each can be taken out for thirty days.`}
      </p>
      <ul className="border-t border-ink">
        {libraries.map(({ id, name, swatches, deletedAt, goneAt }) => {
          const left = Math.max(0, differenceInCalendarDays(new Date(goneAt), new Date()));
          return (
            <li
              key={id}
              className="grid items-center gap-x-6 gap-y-2 border-b py-3 md:grid-cols-[minmax(0,16rem)_minmax(0,1fr)_auto]"
            >
              <div className="min-w-0">
                <h2 className="line-clamp-2 font-serif text-xl leading-tight break-words">
                  {name}
                </h2>
                <p className="text-sm text-soft">
                  since {format(new Date(deletedAt), 'd MMM yyyy')}, {several(left, 'day')} left
                </p>
              </div>
              <div className="bg-sheet">
                <Stave
                  swatches={swatches}
                  scale={settings.scale}
                  height={64}
                  label={staveWords(swatches)}
                />
              </div>
              <div className="flex gap-2">
                <Button
                  weight="strong"
                  aria-label={`Take ${name} out of the bin`}
                  onClick={() =>
                    void act(async () => {
                      await call(endpoints.restoreLibrary, { id });
                      say(`“${name}” is back in the Drawers.`);
                    })
                  }
                >
                  Take out
                </Button>
                {confirming === id ? (
                  <Button
                    onClick={() =>
                      void act(async () => {
                        await call(endpoints.removeForGood, { id });
                        setConfirming(null);
                      })
                    }
                  >
                    Yes, for good
                  </Button>
                ) : (
                  <Button
                    weight="quiet"
                    aria-label={`Throw ${name} away for good`}
                    onClick={() => setConfirming(id)}
                  >
                    Throw away
                  </Button>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </BackRoom>
  );
}
