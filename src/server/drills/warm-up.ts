import type { Skill } from '@/core/drills/question';
import { warmUpSkills } from '@/core/drills/warm-up';
import { MIN_COUNT, recurringMistakes } from '@/core/session/recurring';
import { sessionMistakes } from '@/study/session-mistakes';
import { found } from '../found';
import { getSession, loggedSessions } from '../sessions/sessions';

/** Of what keeps going wrong, so much is warmed up against. */
const MAX_MISTAKES = 2;

export interface WarmUp {
  sessionId: string;
  title: string;
  aim: string;
  skills: Skill[];
}

/** What a session is begun with: what its aim needs, and what keeps going wrong. Null where there is no such session. */
export async function warmUpFor(sessionId: string): Promise<WarmUp | null> {
  const session = await found(getSession, sessionId);
  if (!session) return null;
  const { title, aim } = session.content;
  const studies = (await loggedSessions()).flatMap(({ id, createdAt, content }) => {
    const mistakes = sessionMistakes(content);
    return mistakes ? [{ id, at: Date.parse(createdAt), mistakes }] : [];
  });
  const recurring = recurringMistakes(studies).filter(({ count }) => count >= MIN_COUNT);
  return {
    sessionId,
    title,
    aim,
    skills: warmUpSkills(
      aim,
      recurring.slice(0, MAX_MISTAKES).map(({ kind }) => kind),
    ),
  };
}
