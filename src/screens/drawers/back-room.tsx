import Link from 'next/link';
import type { ReactNode } from 'react';
import { TopLine } from '@/ui/shell';

/** A room behind the Drawers, with the way back. */
export function BackRoom({ wide = false, children }: { wide?: boolean; children: ReactNode }) {
  return (
    <div className="min-h-screen bg-panel">
      <TopLine />
      <main className={`mx-auto px-4 py-5 sm:px-6 ${wide ? 'max-w-6xl' : 'max-w-5xl'}`}>
        <p>
          <Link href="/drawers" className="inline-flex min-h-10 items-center underline">
            Back to the Drawers
          </Link>
        </p>
        {children}
      </main>
    </div>
  );
}
