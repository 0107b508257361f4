'use client';

import { greensOf } from '@/core/mixing/strings';
import { dabChart } from '@/core/plan/dab-chart';
import { mixingTubes, ownedTubes } from '@/study/shelf';
import { Button } from '@/ui/button';
import { Finding, Section } from '@/ui/panel-parts';
import { GreensChart, greensRows } from './greens-chart';
import { IntensityChart } from './intensity-chart';
import { OneString } from './one-string';
import { PrintButton } from './print-button';
import type { TabProps } from './tab-props';

/** Strings, a family by value and intensity, and the greens that the shelf can make; all to be printed and dabbed. */
export function StringsTab({ shelf, look }: TabProps) {
  const tubes = mixingTubes(shelf);
  if (tubes.length < 2)
    return (
      <div className="px-4 py-4 sm:px-6">
        <Finding>A string goes from one tube to another: put two on the shelf.</Finding>
        <Button weight="strong" onClick={() => look({ tab: 'shelf' })}>
          Put tubes on the shelf
        </Button>
      </div>
    );
  const greens = greensOf(ownedTubes(shelf));
  const nameOf = (id: string) => tubes.find((tube) => tube.id === id)?.name ?? '';
  return (
    <div className="mx-auto max-w-[80rem] px-4 py-4 sm:px-6">
      <OneString tubes={tubes} />
      <IntensityChart tubes={tubes} />
      <Section
        title="Greens"
        aside={
          greens.length > 0 && (
            <PrintButton
              name="greens"
              drawing={() => dabChart('Every blue with every yellow', greensRows(greens, nameOf))}
            />
          )
        }
      >
        <GreensChart greens={greens} nameOf={nameOf} />
      </Section>
    </div>
  );
}
