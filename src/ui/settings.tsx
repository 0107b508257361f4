'use client';

import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import type { Settings } from '@/contracts/settings';
import { call, nothing } from './api';
import { showError } from './notices';

interface SettingsRoom {
  settings: Settings;
  change: (part: Partial<Settings>) => void;
}

const SettingsContext = createContext<SettingsRoom | null>(null);
const SAVE_AFTER = 400;

/** Holds the person's settings, shows the surround on the whole page, and saves what changes. */
export function SettingsProvider({
  initial,
  children,
}: {
  initial: Settings;
  children: ReactNode;
}) {
  const [settings, setSettings] = useState(initial);
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);

  useEffect(() => {
    document.documentElement.dataset.surround = settings.surround;
  }, [settings.surround]);

  const change = useCallback(
    (part: Partial<Settings>) => {
      const next = { ...settings, ...part };
      setSettings(next);
      clearTimeout(waiting.current);
      waiting.current = setTimeout(
        () =>
          void call('PUT', '/api/settings', nothing, next, { keepalive: true }).catch(showError),
        SAVE_AFTER,
      );
    },
    [settings],
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
