'use client';

import { useState } from 'react';
import { withTransfer } from '@/study/use-edits';
import { USE_MODES, type UseMode } from '@/contracts/use';
import type { TransferFigures } from '@/contracts/desk-query/transfer-queries';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Finding } from '@/ui/panel-parts';
import { Tick } from '@/ui/tick';
import { list, percent } from '@/ui/words';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { ColoursFrom } from './colours-from';
import { ColoursList } from './colours-list';
import { ExportMade } from './export-made';
import { KeepVariant } from './keep-variant';
import { LeftAlone } from './left-alone';
import { LooksChoice } from './looks-choice';
import { MassList } from './mass-list';
import { PlanDialog } from './plan-dialog';
import { transferView } from './transfer-view';
import { useTransfer } from './use-transfer';

const MODE_TITLES = { held: 'values held', strict: 'palette only' };

/** Colours from elsewhere on the picture's masses: whose, how, which way, and each mass by hand. */
export function PaletteTab() {
  const { mode, way } = useDocument((document) => document.use.transfer);
  const { change } = useDeskStore().getState();
  const transfer = useTransfer();
  const { colours, proposals, query, of, isStale } = transfer;
  const figures = useAnswer<'transferFigures'>(query && { kind: 'transferFigures', ...query });
  const [{ unreached }, look] = useStepView(transferView);
  const zones = useDocument((document) => document.values.zones);
  const [plan, setPlan] = useState(false);
  return (
    <>
      <Finding stale={query !== null && (isStale || figures.stale || !figures.value)}>
        {colours.length === 0
          ? 'No colours to put on it yet: choose whose, or extract some.'
          : figures.value
            ? figureSentence(figures.value, mode, zones)
            : 'Putting the colours on its masses …'}
      </Finding>
      <ColoursFrom />
      <div className="mb-2">
        <Choice
          label="How"
          showLabel={false}
          fill
          value={mode}
          options={USE_MODES.map((value) => ({ value, title: MODE_TITLES[value] }))}
          onChange={(next) => change((was) => withTransfer(was, { mode: next }))}
        />
      </div>
      {mode === 'strict' && figures.value && figures.value.missed > MISSED && (
        <div className="mb-2">
          <Tick checked={unreached} onChange={(on) => look({ unreached: on })}>
            Hatched where it has no such value
          </Tick>
        </div>
      )}
      {proposals.length > 0 && query && (
        <>
          <div className="mb-2">
            <Choice
              label="Which way"
              showLabel={false}
              columns={proposals.length}
              value={proposals.some(({ kind }) => kind === way) ? way : proposals[0].kind}
              options={proposals.map(({ kind }) => ({ value: kind, title: kind }))}
              onChange={(next) => change((was) => withTransfer(was, { way: next }))}
            />
          </div>
          <LooksChoice beside="all three" />
        </>
      )}
      <ColoursList colours={colours} of={of} masses={transfer.masses} />
      {of && <MassList transfer={transfer} />}
      <LeftAlone />
      {query && (
        <div className="mt-3 flex flex-wrap gap-2">
          <Button disabled={!of} onClick={() => setPlan(true)}>
            Plan to paint from …
          </Button>
          <KeepVariant kind="transfer" />
          <ExportMade kind="transfer" about={MODE_ABOUT[mode]} />
        </div>
      )}
      {plan && query && of && (
        <PlanDialog query={query} colours={colours} onClose={() => setPlan(false)} />
      )}
    </>
  );
}

const MODE_ABOUT = { held: 'other colours', strict: 'palette only' };

/** Below this nothing to speak of is missed, as a share of the picture. */
const MISSED = 0.005;

function figureSentence(
  { mean, zones, missed, missing }: TransferFigures,
  mode: UseMode,
  count: number,
): string {
  if (mode === 'held')
    return `Values hold: L* is off by ${mean.toFixed(1)} on the mean, and ${percent(zones)} stays in its zone.`;
  return missed > MISSED
    ? `For ${percent(missed)} of it this palette has no such value: it has none in zone ${list(missing.map((zone) => String(zone + 1)))} of ${count}, from dark. ${percent(zones)} stays in its zone.`
    : `Nothing but these colours, and ${percent(zones)} stays in its zone of value.`;
}
