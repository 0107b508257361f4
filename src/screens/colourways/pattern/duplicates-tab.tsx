'use client';

import { useEffect, useState } from 'react';
import type { StrayGroup } from '@/core/pattern/paints';
import { MAX_DUPLICATE_THRESHOLD, MIN_DUPLICATE_THRESHOLD } from '@/core/palette/near-duplicates';
import { mergeGroups, unmerge } from '@/study/pattern-edits';
import { Button } from '@/ui/button';
import { Finding, Fold } from '@/ui/panel-parts';
import { pointing } from '@/ui/pointing';
import { Slider } from '@/ui/slider';
import { capital, list, several } from '@/ui/words';
import { useDrawing } from './drawing-room';
import { useChange, useContent } from './use-pattern';

interface Props {
  onPoint: (paints: readonly string[] | null) => void;
}

/** Colours of the drawing that pass for one another, with the shapes that merging them would move. */
export function DuplicatesTab({ onPoint }: Props) {
  const { worker, targets, painted, paints, facts } = useDrawing();
  const threshold = useContent((content) => content.threshold);
  const change = useChange();
  const [found, setFound] = useState<{ threshold: number; groups: StrayGroup[] } | null>(null);
  useEffect(() => {
    if (!worker) return;
    let stopped = false;
    void worker.drawings.groups(threshold).then((groups) => {
      if (!stopped) setFound({ threshold, groups });
    });
    return () => {
      stopped = true;
    };
  }, [worker, threshold]);
  if (!worker || !found) return <p role="status">Reading the drawing …</p>;
  if (facts.regions)
    return (
      <Finding>
        The panes were filled with papers of their own: there is nothing to merge in them.
      </Finding>
    );
  // What was merged already is done with.
  const open = found.groups
    .map(({ keeps, strays }) => ({
      keeps: targets.get(keeps) ?? keeps,
      strays: strays.filter(
        ({ hex }) => (targets.get(hex) ?? hex) !== (targets.get(keeps) ?? keeps),
      ),
    }))
    .filter(({ strays }) => strays.length > 0);
  const merged = [...targets];
  return (
    <>
      <Finding stale={found.threshold !== threshold}>
        {findingOf(open, paints.length, painted.paints.length)}
      </Finding>
      {open.length > 0 && (
        <Button weight="strong" className="mb-3 w-full" onClick={() => change(mergeGroups(open))}>
          {`Merge ${open.length === 1 ? 'this group' : `all ${open.length} groups`} in the drawing`}
        </Button>
      )}
      <ul aria-label="Near-duplicates">
        {open.map((group) => (
          <Group
            key={group.keeps}
            group={group}
            onMerge={() => change(mergeGroups([group]))}
            onPoint={onPoint}
          />
        ))}
      </ul>
      <Slider
        label="Alike within"
        said="Alike within"
        value={threshold}
        min={MIN_DUPLICATE_THRESHOLD}
        max={MAX_DUPLICATE_THRESHOLD}
        step={0.5}
        words={`ΔE00 ${threshold}`}
        onChange={(next) => change((was) => ({ ...was, threshold: next }), 'threshold')}
      />
      {merged.length > 0 && (
        <Fold title="Merged" aside={several(merged.length, 'colour')}>
          <ul aria-label="Merged colours">
            {merged.map(([paint, into]) => (
              <li key={paint} className="flex items-center gap-2 border-b py-1 text-[15px]">
                <Chip hex={paint} /> → <Chip hex={into} />
                <span className="grow tabular-nums">{paint}</span>
                <Button aria-label={`Part ${paint} again`} onClick={() => change(unmerge(paint))}>
                  Part
                </Button>
              </li>
            ))}
          </ul>
        </Fold>
      )}
    </>
  );
}

function findingOf(open: readonly StrayGroup[], all: number, left: number): string {
  if (open.length > 0) {
    const strays = open.reduce((sum, group) => sum + group.strays.length, 0);
    return `${capital(several(left, 'colour'))}, of which ${several(strays, 'is a near-duplicate', 'are near-duplicates')}: any recolouring would come out patchy.`;
  }
  return left < all
    ? `${capital(several(all, 'colour'))} are ${several(left, 'colour')} now; nothing in it passes for something else.`
    : `${capital(several(left, 'colour'))}, and none passes for another.`;
}

const Chip = ({ hex }: { hex: string }) => (
  <span className="inline-block h-8 w-9 shrink-0" style={{ background: hex }} />
);

function Group({
  group: { keeps, strays },
  onMerge,
  onPoint,
}: {
  group: StrayGroup;
  onMerge: () => void;
  onPoint: Props['onPoint'];
}) {
  const { nameOf } = useDrawing();
  return (
    <li
      className="mb-2 border-b pb-2"
      {...pointing(
        () => onPoint(strays.map(({ hex }) => hex)),
        () => onPoint(null),
      )}
    >
      <div className="flex items-center gap-2">
        <Chip hex={keeps} />
        <span className="grow font-semibold">{nameOf(keeps)}</span>
        <Button aria-label={`Merge into ${nameOf(keeps)} ${keeps}`} onClick={onMerge}>
          Merge
        </Button>
      </div>
      <ul className="mt-1">
        {strays.map(({ hex, shapes }) => (
          <li key={hex} className="flex items-start gap-2 py-0.5 text-sm leading-snug">
            <span className="mt-0.5 inline-block h-5 w-9 shrink-0" style={{ background: hex }} />
            <span>
              <span className="tabular-nums">{hex}</span> moves {list(shapes)}
            </span>
          </li>
        ))}
      </ul>
    </li>
  );
}
