'use client';

import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './button';

interface Props {
  open: boolean;
  onClose: () => void;
  title: string;
  /** One sentence under the title. */
  about?: string;
  wide?: boolean;
  children: ReactNode;
}

export function Dialog({ open, onClose, title, about, wide, children }: Props) {
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Radix.Content
          aria-describedby={about ? undefined : ''}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[90vh] ${wide ? 'w-[min(60rem,calc(100vw-2rem))]' : 'w-[min(34rem,calc(100vw-2rem))]'} -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-ink bg-sheet p-6`}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <div>
              <Radix.Title className="font-serif text-2xl leading-tight">{title}</Radix.Title>
              {about && <Radix.Description className="mt-1 text-soft">{about}</Radix.Description>}
            </div>
            <Radix.Close asChild>
              <Button weight="quiet" aria-label="Close" className="-mt-2 -mr-2">
                <X size={20} aria-hidden />
              </Button>
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
