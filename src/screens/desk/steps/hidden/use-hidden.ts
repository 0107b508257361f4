'use client';

import type { HiddenList } from '@/contracts/desk-query/desk-answers';
import { useSettings } from '@/ui/settings';
import { usePushSettings } from '../../push-settings';
import { useAnswer, type Answer } from '../../use-answer';

/** The hidden colours as the study pushes them; nothing while they are not wanted. */
export function useHidden(wanted = true): Answer<HiddenList> {
  const settings = usePushSettings();
  const { wheel } = useSettings().settings;
  return useAnswer<'hidden'>(wanted ? { kind: 'hidden', settings, wheel } : null);
}
