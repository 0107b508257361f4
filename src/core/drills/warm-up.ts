import type { MistakeKind } from '../session/mistakes';
import type { Skill } from './question';

/** What each aim of a study or a session needs of the eye. */
const FOR_AIM: Readonly<Record<string, readonly Skill[]>> = {
  values: ['value', 'order', 'light'],
  colour: ['family', 'intensity', 'temperature', 'match'],
  'hidden colour': ['lean', 'hidden', 'temperature', 'contrast'],
  'a gesture': ['value', 'order', 'whole'],
  speed: ['value', 'family', 'whole'],
  'a medium': ['mixing', 'match', 'intensity'],
};

/** What of the eye lets a mistake happen; those of edges and of drawing are of the hand. */
function skillsAgainst(mistake: MistakeKind): readonly Skill[] {
  if (/hue|turned/.test(mistake)) return ['family', 'temperature'];
  if (/strong|dull/.test(mistake)) return ['intensity', 'match'];
  if (/light|dark|range/.test(mistake)) return ['value', 'order'];
  return [];
}

/** What a session with an aim is begun with: what the aim needs, and what keeps going wrong in studies. */
export function warmUpSkills(aim: string, mistakes: readonly MistakeKind[]): Skill[] {
  const needed = FOR_AIM[aim] ?? ['value', 'family', 'intensity'];
  return [...new Set([...needed, ...mistakes.flatMap(skillsAgainst)])];
}
