'use client';

import { format } from 'date-fns';
import { Ellipsis } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { StudyCard as Card } from '@/contracts/study';
import { Button } from '@/ui/button';
import { Menu } from '@/ui/menu';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import type { HungSize } from './hung-studies';

interface Props {
  card: Card;
  size: HungSize;
  onRename: (title: string) => void;
  onDelete: () => void;
  onCompare: () => void;
  onPrint: () => void;
  /** Puts its colours on another study's picture. */
  onUse: () => void;
}

/** A study as it hangs: the picture, its stave under it, its title and what is known of it. */
export function StudyCard({ card, size, onRename, onDelete, onCompare, onPrint, onUse }: Props) {
  const { settings } = useSettings();
  const [renaming, setRenaming] = useState(false);
  const { reading } = card;
  const facts = [
    card.maker,
    reading && `${reading.key} key, ${reading.range} range`,
    reading?.colours && (reading.colours.family ? `in ${reading.colours.family}` : 'in greys'),
    format(new Date(card.createdAt), 'd MMM yyyy'),
  ];
  return (
    <li className="max-w-full" style={{ width: size.width }}>
      {card.isReadable ? (
        <Link href={`/desk/${card.id}`} className="block" aria-label={`Open ${card.title}`}>
          <Thumbnail pictureId={card.pictureId} height={size.height} />
          <div className="mt-1 bg-sheet px-1 py-1">
            <Stave
              swatches={card.swatches}
              scale={settings.scale}
              height={52}
              label={staveWords(card.swatches)}
            />
          </div>
        </Link>
      ) : (
        <>
          <Thumbnail pictureId={card.pictureId} height={size.height} />
          <p className="mt-1 bg-sheet px-2 py-1 text-sm leading-snug font-semibold">
            What is stored of this study is damaged and can’t be read. A copy may have it whole: see
            Back up and restore.
          </p>
        </>
      )}
      <div className="flex items-start gap-1 pt-1.5">
        <div className="min-w-0 grow">
          {renaming ? (
            <RenameField
              title={card.title}
              onDone={(title) => {
                setRenaming(false);
                if (title && title !== card.title) onRename(title);
              }}
            />
          ) : (
            <h2 className="line-clamp-2 font-serif text-lg leading-snug" title={card.title}>
              {card.title}
            </h2>
          )}
          <p className="text-sm leading-snug">{facts.filter(Boolean).join(' · ')}</p>
        </div>
        <Menu
          trigger={
            <Button weight="quiet" aria-label={`More for ${card.title}`}>
              <Ellipsis size={20} aria-hidden />
            </Button>
          }
          items={[
            ...(card.isReadable
              ? [
                  { title: 'Rename', onSelect: () => setRenaming(true) },
                  { title: 'Compare with …', onSelect: onCompare },
                  { title: 'Print a sheet …', onSelect: onPrint },
                  ...(card.swatches.length > 0
                    ? [{ title: 'On another picture …', onSelect: onUse }]
                    : []),
                ]
              : []),
            { title: 'Delete', onSelect: onDelete },
          ]}
        />
      </div>
    </li>
  );
}

function Thumbnail({ pictureId, height }: { pictureId: string; height: number }) {
  return (
    <img
      src={hrefOf(endpoints.getPicture, { id: pictureId, rendition: 'thumbnail' })}
      alt=""
      className="block w-full object-contain"
      style={{ height }}
    />
  );
}

function RenameField({ title, onDone }: { title: string; onDone: (title: string | null) => void }) {
  const [text, setText] = useState(title);
  return (
    <input
      aria-label="Title"
      autoFocus
      value={text}
      maxLength={200}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => onDone(text.trim())}
      onKeyDown={(event) => {
        if (event.key === 'Enter') onDone(text.trim());
        if (event.key === 'Escape') onDone(null);
      }}
      className="h-10 w-full border border-ink bg-sheet px-2 font-serif text-lg text-ink"
    />
  );
}
