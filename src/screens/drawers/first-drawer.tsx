import Link from 'next/link';
import { Button } from '@/ui/button';
import { capital, several } from '@/ui/words';

/** What to do while there is no library. */
export function FirstDrawer({
  binned,
  onBegin,
  onImport,
}: {
  binned: number;
  onBegin: () => void;
  onImport: () => void;
}) {
  return (
    <section className="mx-auto mt-[12vh] max-w-xl">
      <h2 className="font-serif text-4xl leading-tight">The drawers are empty.</h2>
      <p className="mt-4 text-lg">
        Open a study on the{' '}
        <Link href="/" className="underline">
          Wall
        </Link>{' '}
        and save its palette, build a palette from a colour that you have in mind, or import
        swatches: a library file, any text with colours in it, or a picture of a swatch card.
      </p>
      <div className="mt-6 flex flex-wrap gap-3">
        <Button weight="strong" onClick={onBegin}>
          New palette
        </Button>
        <Button onClick={onImport}>Import swatches</Button>
      </div>
      {binned > 0 && (
        <p className="mt-6 text-soft">
          {capital(several(binned, 'library lies', 'libraries lie'))} in the{' '}
          <Link href="/drawers/bin" className="underline">
            bin
          </Link>
          .
        </p>
      )}
    </section>
  );
}
