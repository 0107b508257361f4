'use client';

import { useState } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import type { useDemo } from './use-demo';

/** The way back to a fresh demo, at the foot of the Wall. */
export function DemoAgain({ demo }: { demo: ReturnType<typeof useDemo> }) {
  const [asking, setAsking] = useState(false);
  return (
    <footer className="mt-12">
      <Button
        weight="quiet"
        className="-ml-3 underline hover:bg-transparent"
        disabled={demo.step !== null}
        onClick={() => setAsking(true)}
      >
        Start the demo again
      </Button>
      <Dialog
        open={asking}
        onClose={() => setAsking(false)}
        title="Start the demo again?"
        about="The demo’s studies and libraries become what they were at first, and deleted ones come back. Pictures, studies and libraries of your own stay as they are."
      >
        <div className="flex justify-end gap-2">
          <Button onClick={() => setAsking(false)}>Not now</Button>
          <Button
            weight="strong"
            onClick={() => {
              setAsking(false);
              void demo.start();
            }}
          >
            Start again
          </Button>
        </div>
      </Dialog>
    </footer>
  );
}

/** What is being put back, with the way to stop. */
export function DemoProgress({ demo: { step, stop } }: { demo: ReturnType<typeof useDemo> }) {
  if (!step) return null;
  return (
    <div className="mb-8 flex min-h-14 items-center gap-4 border-y">
      <p role="status" className="w-96 truncate">
        {step.title ? `Hanging “${step.title}”` : 'Hanging the demo pictures'}
      </p>
      <progress
        aria-label="Starting the demo again"
        value={step.done / step.total}
        max={1}
        className="h-1 grow"
      />
      <Button weight="quiet" onClick={stop}>
        Stop
      </Button>
    </div>
  );
}
