import { Button } from '@/ui/button';
import firstStart from './first-start.webp';

/** What there is to do on an empty Wall, and what comes of it: a picture, its values, a palette to paint it with. */
export function FirstStep({ onChoose, onSample }: { onChoose: () => void; onSample: () => void }) {
  return (
    <section className="mx-auto mt-[4vh] grid max-w-5xl items-center gap-x-10 gap-y-6 bg-panel p-6 text-ink sm:p-8 lg:grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)]">
      <figure>
        <img
          src={firstStart.src}
          width={firstStart.width}
          height={firstStart.height}
          alt="A picture as it came, in four values, and in nothing but a palette of eight colours, which stands below it"
          className="h-auto w-full"
        />
        <figcaption className="mt-2 grid grid-cols-3 text-sm text-soft">
          <span>as it came</span>
          <span>in four values</span>
          <span>in eight colours</span>
        </figcaption>
      </figure>
      <div>
        <h2 className="font-serif text-4xl leading-tight">
          Drop a picture here, and see how its colour works.
        </h2>
        <p className="mt-4 text-lg">
          A photograph or a master work: JPEG, PNG, WebP, AVIF, TIFF or GIF, up to 40 MB. You can
          also paste one.
        </p>
        <div className="mt-6 flex flex-wrap gap-3">
          <Button weight="strong" onClick={onChoose}>
            Choose a picture
          </Button>
          <Button onClick={onSample}>Try it with a sample</Button>
        </div>
      </div>
    </section>
  );
}
