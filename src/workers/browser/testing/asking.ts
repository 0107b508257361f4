import { NO_PUSH, type Push } from '@/core/amplify/push';
import type { PushAsked } from '@/contracts/push-order';

/** For tests: what the worker is asked for a push, with nothing kept from it but what is said. */
export function asking(push: Partial<Push>, rest: Partial<PushAsked> = {}): PushAsked {
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
