'use client';

import { useQueryClient } from '@tanstack/react-query';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type ReactNode,
} from 'react';
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
  const stored = useStored(endpoints.getSettings, {}, initial);
  // What was changed here and isn't stored yet: a key pressed twice must not read the same settings twice.
  const [changed, setChanged] = useState<Settings | null>(null);
  const settings = changed ?? stored;
  const latest = useRef(settings);
  useLayoutEffect(() => {
    latest.current = settings;
  }, [settings]);
  const later = useDebounced(SAVE_AFTER, 'run');

  useEffect(() => {
    document.documentElement.dataset.surround = settings.surround;
  }, [settings.surround]);

  const change = useCallback(
    (part: Partial<Settings>) => {
      const next = { ...latest.current, ...part };
      latest.current = next;
      setChanged(next);
      later.run(() => {
        const isLast = () => latest.current === next;
        void call(endpoints.saveSettings, { body: next }, { keepalive: true })
          .catch(showError)
          .then(() => {
            client.setQueryData(SETTINGS.queryKey, next);
            if (isLast()) setChanged(null);
          });
      });
    },
    [client, later],
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
