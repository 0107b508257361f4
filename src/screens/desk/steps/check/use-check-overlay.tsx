'use client';

import type { StepOverlay } from '../../step';
import { useCheckRoom } from './check-room';
import { CheckStage } from './check-stage';
import { useOpenCheck } from './open-session';

/** The study beside what it is held against in place of the picture, once one is checked. */
export function useCheckOverlay(): StepOverlay {
  const { open } = useCheckRoom();
  const { check } = useOpenCheck(open);
  return { instead: open && check ? <CheckStage open={open} check={check} /> : undefined };
}
