'use client';

import type { HiddenList } from '@/workers/browser/hidden-calls';
import { useSettings } from '@/ui/settings';
import { usePushSettings } from '../../push-settings';
import { useMeasured } from '../../use-drawn';

/** The hidden colours as the study pushes them; null until they are read, or while they are not wanted. */
export function useHidden(wanted = true): HiddenList | null {
  const asked = usePushSettings();
  const { settings } = useSettings();
  const key = `hidden ${JSON.stringify(asked.push)} ${settings.wheel}`;
  return useMeasured(wanted ? key : null, (desk) => desk.readHidden(asked, settings.wheel));
}
