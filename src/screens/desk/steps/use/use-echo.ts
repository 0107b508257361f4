'use client';

import { stepOf } from '@/core/colour/value-scale';
import type { Place } from '@/core/picture/framing';
import { useSettings } from '@/ui/settings';
import { useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { transferView } from './transfer-view';
import { useTransferQuery, withoutWay } from './use-transfer';

const NONE: readonly Place[] = [];

/** Where the colour in hand would tie the picture together. */
export function useEcho(): readonly Place[] {
  const { scale } = useSettings().settings;
  const [{ tab, colour }] = useStepView(transferView);
  const { colours, query } = useTransferQuery();
  const number = colours.findIndex(({ id }) => id === colour);
  const { value } = useAnswer<'echo'>(
    tab === 'palette' && query && number >= 0
      ? {
          kind: 'echo',
          ...withoutWay(query),
          way: query.way,
          colour: number,
          within: stepOf(scale) / 2,
        }
      : null,
  );
  return value ?? NONE;
}
