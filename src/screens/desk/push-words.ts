import { isPushed, WAYS, type Push } from '@/core/amplify/push';
import { percent } from '@/ui/words';

const TITLES: Record<(typeof WAYS)[number], string> = {
  lift: 'all lifted',
  quiet: 'the quiet lifted',
  spread: 'spread',
};

/** A push in words: "spread 50 % about the cast around each place, the quiet lifted 20 %". */
export function pushWords(push: Push): string {
  if (!isPushed(push)) return 'nothing yet';
  return WAYS.filter((way) => push[way] > 0)
    .map((way) => {
      const words = `${TITLES[way]} ${percent(push[way])}`;
      return way === 'spread' && push.cast === 'local'
        ? `${words} about the cast around each place`
        : words;
    })
    .reverse()
    .join(', ');
}
