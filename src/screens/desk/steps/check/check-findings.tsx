'use client';

import { Ellipsis } from 'lucide-react';
import { PROPORTIONS_ID, SHIFT_ID } from '@/core/session/mistakes';
import type { Finding } from '@/contracts/finding';
import { EXCUSES, type Excuse, type SessionCheck } from '@/contracts/session';
import { editCheck, excuse } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { Menu } from '@/ui/menu';
import { Fold, Section, unbroken } from '@/ui/panel-parts';
import { percent } from '@/ui/words';
import { edgeWords, flattenedWords, proportionWords } from './check-sentences';
import { useCheckRoom } from './check-room';
import type { OpenSession } from './open-session';

const MAX_LISTED = 3;
const EXCUSE_TITLES: Readonly<Record<Excuse, string>> = {
  'on purpose': 'on purpose',
  'model has faded': 'the model has faded',
};

/** What was found, the largest relation first; each can be left out as meant or as the model's mistake. */
export function CheckFindings({
  open,
  check,
  finding,
}: {
  open: OpenSession;
  check: SessionCheck;
  finding: Finding;
}) {
  const { point, pointed } = useCheckRoom();
  const why = (id: string) => check.excused.find((one) => one.id === id)?.why ?? null;
  const set = (id: string, next: Excuse | null) =>
    open.store
      .getState()
      .change((was) => editCheck(was, check.id, { excused: excuse(check, id, next).excused }));
  const row = (id: string, words: string, number?: number) => (
    <FindingRow
      key={id}
      number={number}
      words={words}
      why={why(id)}
      isPointed={pointed === id}
      onPoint={(isOn) => point(isOn ? id : null)}
      onWhy={(next) => set(id, next)}
    />
  );
  const [first, rest] = [
    finding.relations.slice(0, MAX_LISTED),
    finding.relations.slice(MAX_LISTED),
  ];
  const proportions = proportionWords(finding.proportions);
  const drawn = [
    ...finding.edges.map((edge) => ({ id: edge.id, words: edgeWords(edge) })),
    ...finding.flattened.map((one) => ({ id: one.id, words: flattenedWords(one) })),
    ...(proportions ? [{ id: PROPORTIONS_ID, words: proportions }] : []),
  ];
  if (!finding.registration) return null;
  return (
    <>
      {first.length > 0 && (
        <Section title="Relations" aside={rest.length > 0 ? `${rest.length} smaller below` : ''}>
          <ol>{first.map(({ id, words }, i) => row(id, words, i + 1))}</ol>
        </Section>
      )}
      <Section
        title="Edges, turns, proportions"
        aside={drawn.length === 0 ? 'as in the model' : undefined}
      >
        {drawn.length > 0 && <ul>{drawn.slice(0, 4).map(({ id, words }) => row(id, words))}</ul>}
      </Section>
      {finding.shift && (
        <Fold title="On the whole" aside={why(SHIFT_ID) ?? figures(finding.shift)}>
          <ul>{row(SHIFT_ID, shiftFigures(finding.shift))}</ul>
        </Fold>
      )}
      {(rest.length > 0 || drawn.length > 4) && (
        <Fold title="Smaller ones" aside={String(rest.length + Math.max(0, drawn.length - 4))}>
          <ul>
            {rest.map(({ id, words }) => row(id, words))}
            {drawn.slice(4).map(({ id, words }) => row(id, words))}
          </ul>
        </Fold>
      )}
    </>
  );
}

const signed = (n: number, digits = 1) => `${n > 0 ? '+' : '−'}${Math.abs(n).toFixed(digits)}`;
const figures = ({ value, chromaGain }: NonNullable<Finding['shift']>) =>
  `value ${signed(value)}, intensity × ${chromaGain.toFixed(2)}`;
const shiftFigures = ({ value, valueGain, chromaGain, hueTurn }: NonNullable<Finding['shift']>) =>
  `Value ${signed(value, 2)} in the middle, its range ${percent(valueGain)} of the model’s, intensity ${percent(chromaGain)}, hues turned by ${signed(hueTurn, 0)}°.`;

function FindingRow({
  number,
  words,
  why,
  isPointed,
  onPoint,
  onWhy,
}: {
  number?: number;
  words: string;
  why: Excuse | null;
  isPointed: boolean;
  onPoint: (isOn: boolean) => void;
  onWhy: (why: Excuse | null) => void;
}) {
  return (
    <li
      className={`flex items-start gap-1 border-b py-1 text-[15px] leading-snug ${isPointed ? 'bg-faint' : ''}`}
      onMouseEnter={() => onPoint(true)}
      onMouseLeave={() => onPoint(false)}
      onFocus={() => onPoint(true)}
      onBlur={() => onPoint(false)}
    >
      <p className={`grow py-1 ${why ? 'text-soft line-through' : ''}`}>
        {number !== undefined && <span className="mr-1.5 font-semibold">{number}</span>}
        {unbroken(words.charAt(0).toUpperCase() + words.slice(1))}
      </p>
      {why ? (
        <Button weight="quiet" className="shrink-0 text-sm" onClick={() => onWhy(null)}>
          {EXCUSE_TITLES[why]}, take in again
        </Button>
      ) : (
        <Menu
          trigger={
            <Button weight="quiet" className="shrink-0" aria-label={`Leave out: ${words}`}>
              <Ellipsis size={18} aria-hidden />
            </Button>
          }
          items={EXCUSES.map((one) => ({
            title: EXCUSE_TITLES[one],
            onSelect: () => onWhy(one),
          }))}
        />
      )}
    </li>
  );
}
