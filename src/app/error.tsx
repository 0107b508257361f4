'use client';

import { Button } from '@/ui/button';

export default function PageError({ reset }: { reset: () => void }) {
  return (
    <main role="alert" className="mx-auto mt-[20vh] max-w-xl px-6">
      <h1 className="font-serif text-4xl">This page could not be shown.</h1>
      <p className="my-4 text-lg">
        What you saved is kept. Try again; if it stays so, start Bold Prism anew.
      </p>
      <Button weight="strong" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
