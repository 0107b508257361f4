'use client';

import { useQueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, type ReactNode } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Settings } from '@/contracts/settings';
import { call } from './api';
import { showError } from './notices';
import { queryFor, useStored } from './queries';
import { useDebounced } from './use-debounced';

interface SettingsRoom {
  settings: Settings;
  change: (part: Partial<Settings>) => void;
}

const SettingsContext = createContext<SettingsRoom | null>(null);
const SAVE_AFTER = 400;
const SETTINGS = queryFor(endpoints.getSettings, {});

/** Holds the person's settings, shows the surround on the whole page, and saves what changes. */
export function SettingsProvider({
  initial,
  children,
}: {
  initial: Settings;
  children: ReactNode;
}) {
  const client = useQueryClient();
  const settings = useStored(endpoints.getSettings, {}, initial);
  const later = useDebounced(SAVE_AFTER, 'run');

  useEffect(() => {
    document.documentElement.dataset.surround = settings.surround;
  }, [settings.surround]);

  const change = useCallback(
    (part: Partial<Settings>) => {
      const next = { ...settings, ...part };
      client.setQueryData(SETTINGS.queryKey, next);
      later.run(
        () =>
          void call(endpoints.saveSettings, { body: next }, { keepalive: true }).catch(showError),
      );
    },
    [client, settings, later],
  );

  return (
    <SettingsContext.Provider value={{ settings, change }}>{children}</SettingsContext.Provider>
  );
}

export function useSettings(): SettingsRoom {
  const room = useContext(SettingsContext);
  if (!room) throw new Error('useSettings outside its provider');
  return room;
}
