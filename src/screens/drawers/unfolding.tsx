import { ChevronDown } from 'lucide-react';

/** What is unfolded where there is no room for all. */
export type Unfolded = 'folders' | 'colours' | null;

const TITLES = { folders: 'Folders', colours: 'Ask by colour' } as const;

/** Unfolds the folders or the criteria on a narrow screen. */
export function Unfolding({
  unfolded,
  onChange,
}: {
  unfolded: Unfolded;
  onChange: (unfolded: Unfolded) => void;
}) {
  return (
    <div className="flex border-b lg:hidden">
      {(['folders', 'colours'] as const).map((part) => (
        <button
          key={part}
          type="button"
          aria-expanded={unfolded === part}
          onClick={() => onChange(unfolded === part ? null : part)}
          className="flex min-h-12 grow items-center gap-2 px-4 text-left font-semibold not-first:border-l"
        >
          <ChevronDown size={18} aria-hidden className={unfolded === part ? 'rotate-180' : ''} />
          {TITLES[part]}
        </button>
      ))}
    </div>
  );
}
