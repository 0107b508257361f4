import type { Question } from '@/core/drills/question';
import type { TruthRole } from '@/core/drills/truth';

/** What each of the colours that are laid edge to edge is. */
export function captionOf({ form, shown }: Question, role: TruthRole): string {
  if (role === 'shown')
    return shown.as === 'in a ground' ? 'the same grey by itself' : 'the colour';
  if (role === 'another') return 'another';
  if (shown.as === 'pile') return role === 'right' ? 'what is wanted' : 'the nearest with yours';
  if (form.by === 'order') return '';
  const isOneOf = form.by === 'place' || form.by === 'colour';
  if (role === 'right') return isOneOf ? 'the right one' : 'as it is';
  return isOneOf || form.by === 'match' ? 'yours' : 'as you read it';
}
