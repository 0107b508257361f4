import { z } from 'zod';
import { wellFormedText } from '@/core/text';

/** Text from outside, without what no store can hold: NUL and half signs. */
export const text = () => z.string().overwrite(wellFormedText);
