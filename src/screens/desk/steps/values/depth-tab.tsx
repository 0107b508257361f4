'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { stepOf, type ValueScale } from '@/core/colour/value-scale';
import {
  DEPTH_WORDS,
  DISTANCES,
  FACINGS,
  type DepthWord,
  type Distance,
  type Facing,
} from '@/core/depth/depth-marks';
import type { DepthStudy } from '@/core/depth/depth-study';
import type { PlaneReading } from '@/core/depth/plane-reading';
import { withoutDepthMarks } from '@/study/depth-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { several, valueWords } from '@/ui/words';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { Finding, Section } from '../../panel/panel-parts';
import { Pointing } from '../../panel/pointing';
import { useAnswer } from '../../use-answer';
import { facingSentence, recessionSentence } from './depth-sentence';
import { LensChoice } from './lens-choice';
import { valuesView } from './values-view';

/** What is near and what is far, how far it steps back, and how ground, uprights and sky lie in value. */
export function DepthTab() {
  const squint = useDocument((document) => document.values.squint);
  const marks = useDocument((document) => document.depth.marks);
  const { scale } = useSettings().settings;
  const { value: depth, stale } = useAnswer<'depth'>({ kind: 'depth', squint, marks });
  const far = depth?.recession && depth.distances[depth.recession.far];
  return (
    <>
      <Finding stale={stale} focus={far ? { kind: 'masses', which: far.masses } : null}>
        {depth ? recessionSentence(depth.recession, scale) : 'Looking how far things lie …'}
      </Finding>
      <LensChoice />
      {depth && marks.length === 0 && (
        <p className="mb-2 text-[15px] leading-tight text-soft">
          As guessed by where things stand in the picture; touch what is put wrong.
        </p>
      )}
      <Marking count={marks.length} />
      {depth && <Planes depth={depth} />}
    </>
  );
}

/** What a touch in the picture says of the mass under it. */
function Marking({ count }: { count: number }) {
  const [{ touch }, look] = useStepView(valuesView);
  const { change } = useDeskStore().getState();
  return (
    <Section
      title="A touch in the picture says"
      aside={count === 0 ? 'a first guess' : several(count, 'mark')}
    >
      <Choice<DepthWord>
        label="A touch in the picture says"
        showLabel={false}
        columns={3}
        value={touch}
        options={DEPTH_WORDS.map((value) => ({ value, title: value }))}
        onChange={(next) => look({ touch: next })}
      />
      {count > 0 && (
        <div className="pt-2">
          <Button onClick={() => change(withoutDepthMarks)}>Back to the first guess</Button>
        </div>
      )}
    </Section>
  );
}

function Planes({ depth }: { depth: DepthStudy }) {
  const { scale } = useSettings().settings;
  const facing = facingSentence(depth.facings, scale);
  return (
    <>
      <PlaneTable title="By distance" names={DISTANCES} planes={depth.distances} />
      <PlaneTable title="Ground, upright, sky" names={FACINGS} planes={depth.facings} />
      {facing && <p className="font-serif text-lg leading-snug">{facing}</p>}
    </>
  );
}

function PlaneTable<T extends Distance | Facing>({
  title,
  names,
  planes,
}: {
  title: string;
  names: readonly T[];
  planes: Record<T, PlaneReading | null>;
}) {
  const { scale } = useSettings().settings;
  return (
    <Section title={title}>
      <table className="w-full text-[15px]">
        <thead className="text-sm text-soft">
          <tr>
            {['', 'value', 'contrast', 'chroma', 'temp.'].map((head) => (
              <th key={head} className="text-right font-normal first:text-left">
                {head || <span className="sr-only">which</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {names.map((name) => (
            <PlaneRow key={name} name={name} plane={planes[name]} scale={scale} />
          ))}
        </tbody>
      </table>
    </Section>
  );
}

function PlaneRow({
  name,
  plane,
  scale,
}: {
  name: string;
  plane: PlaneReading | null;
  scale: ValueScale;
}) {
  if (!plane)
    return (
      <tr className="border-t text-soft">
        <td className="h-10">{name}</td>
        <td colSpan={4} className="text-right">
          nothing
        </td>
      </tr>
    );
  const figures = [
    valueWords(plane.value, scale),
    (plane.contrast / stepOf(scale)).toFixed(1),
    plane.chroma.toFixed(3),
    plane.temperature.toFixed(2).replace('-', '−'),
  ];
  return (
    <tr className="border-t">
      <td>
        <Pointing
          focus={{ kind: 'masses', which: plane.masses }}
          className="flex items-center gap-2"
        >
          <span className="h-7 w-7 shrink-0" style={{ background: hexFromOklab(plane.colour) }} />
          {name}
        </Pointing>
      </td>
      {figures.map((figure, i) => (
        <td key={i} className="text-right">
          {figure}
        </td>
      ))}
    </tr>
  );
}
