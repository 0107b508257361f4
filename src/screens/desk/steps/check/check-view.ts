import { AGAINST } from '@/contracts/session';
import { addressCodec, oneOf, text } from '@/ui/address';
import type { StepView } from '../../view';

/** How the study and what it is held against are looked at; `photo` is the photograph with its corners. */
export const CHECK_LOOKS = ['beside', 'wipe', 'turn', 'photo'] as const;
export type CheckLook = (typeof CHECK_LOOKS)[number];

export const CHECK_TREATMENTS = ['plain', 'squint', 'grey'] as const;
export type CheckTreatment = (typeof CHECK_TREATMENTS)[number];

interface CheckView {
  /** The session and the snapshot that are open; the newest where there is none. */
  session: string;
  shot: string;
  against: (typeof AGAINST)[number];
  look: CheckLook;
  as: CheckTreatment;
  /** What a session that is begun is to be held to, a line each: a maker's manner. */
  limits: string;
  /** The course that a session is begun for, and which of that course's studies. */
  course: string;
  entry: string;
}

export const checkView: StepView<CheckView> = {
  step: 'check',
  codec: addressCodec<CheckView>({
    session: text('session', 40),
    shot: text('shot', 40),
    against: oneOf('against', AGAINST, 'model'),
    look: oneOf('look', CHECK_LOOKS, 'beside'),
    as: oneOf('as', CHECK_TREATMENTS, 'plain'),
    limits: text('limits', 600),
    course: text('course', 40),
    entry: text('entry', 40),
  }),
};
