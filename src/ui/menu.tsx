'use client';

import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

interface Item {
  title: string;
  onSelect: () => void;
}

/** A list of actions behind one button. */
export function Menu({
  trigger,
  items,
  side = 'bottom',
}: {
  trigger: ReactNode;
  items: readonly Item[];
  side?: 'top' | 'bottom';
}) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      {/* No portal: what is opened stays within the page's main landmark. */}
      <DropdownMenu.Content
        align="end"
        side={side}
        className="z-50 min-w-44 border border-ink bg-sheet"
      >
        {items.map((item) => (
          <DropdownMenu.Item
            key={item.title}
            onSelect={item.onSelect}
            className="flex min-h-10 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-sheet"
          >
            {item.title}
          </DropdownMenu.Item>
        ))}
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
}
