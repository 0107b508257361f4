import { useMemo } from 'react';
import type { PushSettings } from '@/contracts/push-request';
import { useDocument } from './desk-store';

/** `pushSettingsOf` the study that is open. */
export function usePushSettings(): PushSettings {
  const hidden = useDocument((document) => document.hidden);
  const values = useDocument((document) => document.values);
  const corrections = useDocument((document) => document.lightAndShadow.corrections);
  return useMemo(() => {
    const { push, kept, parts, only } = hidden;
    return { push, kept, parts, only, values, corrections };
  }, [hidden, values, corrections]);
}
