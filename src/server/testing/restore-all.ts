import type { Restored } from '@/contracts/keep';
import type { Archive } from '../keep/archive';
import { restore } from '../keep/restore';
import { standingsOf } from '../keep/standing';

/** Restores all that a backup has, settings included; what is here and differs stays. */
export async function restoreAll(archive: Archive): Promise<Restored> {
  const { studies, libraries } = await standingsOf(archive);
  return restore(archive, {
    studies: studies.map(({ id }) => id),
    libraries: libraries.map(({ id }) => id),
    rest: true,
    settings: true,
    differing: 'keep',
  });
}
