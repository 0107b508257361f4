import { NO_PUSH, type Push } from '@/core/amplify/push';
import type { PushSettings } from '@/contracts/push-request';

/** For tests: the settings of a push, with nothing kept from it but what is said. */
export function pushSettings(push: Partial<Push>, rest: Partial<PushSettings> = {}): PushSettings {
  return {
    push: { ...NO_PUSH, ...push },
    kept: { wheel: 'painters', families: [] },
    parts: [],
    only: { kind: 'all' },
    values: { zones: 2, breaks: 'natural', thresholds: [], squint: 0 },
    corrections: [],
    ...rest,
  };
}
