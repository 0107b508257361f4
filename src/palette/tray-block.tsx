'use client';

import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Link2, Lock } from 'lucide-react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import type { TraySwatch } from '@/contracts/study';
import { isEnd } from '@/study/edits';
import { pointing } from '@/ui/pointing';
import { useSettings } from '@/ui/settings';
import { percent, valueWords } from '@/ui/words';
import type { StaveColumn } from '@/core/palette/stave-layout';

interface Props {
  swatch: TraySwatch;
  number: number;
  column: StaveColumn;
  /** Height of the block and of the stave's lines, in pixels. */
  block: number;
  room: number;
  selected: boolean;
  /** Whether it is added to what is selected: with Shift, Ctrl or Cmd. */
  onSelect: (adding: boolean) => void;
  onPoint: (on: boolean) => void;
  onKey: (event: React.KeyboardEvent) => void;
}

/** An end is seen however little of the picture it has, and its white on white. */
const MIN_END = 16;

/** A swatch on the stave: the whole column can be taken hold of, the block sits at its value. */
export function TrayBlock({
  swatch,
  number,
  column,
  block,
  room,
  selected,
  onSelect,
  onPoint,
  onKey,
}: Props) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: swatch.id,
  });
  const { settings } = useSettings();
  const value = valueOfOklab(swatch.colour);
  const kept = swatch.recipe ?? swatch.mediumRecipes[0];
  const top = (1 - value / 10) * room;
  const words = `${number}, ${swatch.name}, value ${valueWords(value, settings.scale)}${swatch.share === null ? '' : `, ${percent(swatch.share)}`}${swatch.role ? `, ${swatch.role}` : ''}${swatch.locked ? ', locked' : ''}${swatch.follows ? ', linked' : ''}${kept ? ', with its recipe' : ''}`;
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-label={words}
      aria-pressed={selected}
      title={words}
      onClick={(event) => onSelect(event.shiftKey || event.ctrlKey || event.metaKey)}
      {...pointing(
        () => onPoint(true),
        () => onPoint(false),
      )}
      onKeyDown={(event) => {
        onKey(event);
        if (!event.defaultPrevented) listeners?.onKeyDown?.(event);
      }}
      className="absolute inset-y-0 touch-none text-left"
      style={{
        left: column.left,
        width: column.width,
        transform: CSS.Translate.toString(transform),
        transition,
        zIndex: isDragging ? 2 : selected ? 1 : 0,
      }}
    >
      <span
        className={`absolute left-0 block ${isEnd(swatch) ? 'border border-ink' : ''} ${isDragging ? 'shadow-[0_6px_14px_rgba(0,0,0,0.45)]' : ''} ${selected ? 'outline-2 outline-offset-2 outline-ink' : ''}`}
        style={{
          top,
          height: block,
          width: Math.max(isEnd(swatch) ? MIN_END : 4, column.block - 4),
          background: hexFromOklab(swatch.colour),
        }}
      >
        {kept && (
          <span
            className="absolute inset-y-0 right-0 w-1/3 max-w-4 border-l border-sheet"
            style={{ background: hexFromOklab(kept.colour) }}
          />
        )}
      </span>
      <span
        className="absolute left-0 flex max-w-full items-center gap-0.5 overflow-hidden text-xs whitespace-nowrap"
        style={{ top: top + block + 3, width: column.width - 4 }}
      >
        {swatch.locked && <Lock size={11} className="shrink-0" aria-hidden />}
        {swatch.follows && <Link2 size={11} className="shrink-0" aria-hidden />}
        <span className="shrink-0 font-semibold">{number}</span>
        <span className="truncate pl-0.5">{column.width > 64 ? swatch.name : ''}</span>
      </span>
    </button>
  );
}
