'use client';

interface Props {
  hex: string;
  title: string;
  detail: string;
  ticked: boolean;
  onTick: () => void;
}

/** A line of a checklist that a knuckle can tick. */
export function TickRow({ hex, title, detail, ticked, onTick }: Props) {
  return (
    <li className="border-b">
      <label className="flex min-h-14 items-center gap-3 py-1">
        <input type="checkbox" className="h-7 w-7 shrink-0" checked={ticked} onChange={onTick} />
        <span aria-hidden className="block h-10 w-10 shrink-0" style={{ background: hex }} />
        <span className={`min-w-0 leading-snug ${ticked ? 'text-soft line-through' : ''}`}>
          <span className="block text-[15px] font-semibold">{title}</span>
          <span className="block text-sm">{detail}</span>
        </span>
      </label>
    </li>
  );
}
