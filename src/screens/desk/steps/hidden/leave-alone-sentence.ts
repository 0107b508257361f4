import { wheelOf } from '@/core/colour/wheel';
import type { HiddenSettings } from '@/contracts/hidden';

/** What is kept from being pushed, in a sentence. */
export function leaveAloneSentence({ kept, parts, only }: HiddenSettings): string {
  const { families } = wheelOf(kept.wheel);
  const keeps = [
    ...kept.families.map((index) => families[index]),
    ...(parts.length > 0
      ? [parts.length === 1 ? 'one drawn part' : `${parts.length} drawn parts`]
      : []),
  ];
  const where =
    only.kind === 'all'
      ? ''
      : only.kind === 'side'
        ? `only the ${only.side === 'light' ? 'lights are' : 'shadows are'} strengthened`
        : `only zone ${only.index + 1} is strengthened`;
  if (keeps.length === 0 && !where)
    return 'Nothing is left alone: all that is quiet is strengthened.';
  const many = kept.families.length + parts.length > 1;
  const stays =
    keeps.length > 0 ? `${listed(keeps)} ${many ? 'stay as they are' : 'stays as it is'}` : '';
  const sentence = [stays, where].filter(Boolean).join('; ');
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
}

function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
