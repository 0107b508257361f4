import { isPushed, WAYS, type Push } from '@/core/amplify/push';
import { percent } from '@/ui/words';

const TITLES: Record<(typeof WAYS)[number], string> = {
  lift: 'all strengthened',
  quiet: 'greys strengthened',
  spread: 'hues parted',
};

/** A push in words: "hues parted 50 % about the tint around each place, greys strengthened 20 %". */
export function pushWords(push: Push): string {
  if (!isPushed(push)) return 'nothing yet';
  return WAYS.filter((way) => push[way] > 0)
    .map((way) => {
      const words = `${TITLES[way]} ${percent(push[way])}`;
      return way === 'spread' && push.cast === 'local'
        ? `${words} about the tint around each place`
        : words;
    })
    .reverse()
    .join(', ');
}
