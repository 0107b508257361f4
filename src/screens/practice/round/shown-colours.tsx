import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { InPicture } from './in-picture';
import type { Question, Shown } from '@/core/drills/question';

/** A colour on the surround. */
export function Patch({ colour, className = '' }: { colour: Oklab; className?: string }) {
  return (
    <span
      data-testid="patch"
      className={`block ${className}`}
      style={{ background: hexFromOklab(colour) }}
    />
  );
}

/** What a question shows, but for a row that is answered by pointing at it. */
export function ShownColours({
  shown,
  form,
  nameOf,
}: {
  shown: Shown;
  form: Question['form'];
  nameOf: (tube: string) => string;
}) {
  switch (shown.as) {
    case 'patch':
      return <Patch colour={shown.colour} className="h-full w-full max-w-xl" />;
    case 'place':
      return <InPicture place={shown.place} />;
    case 'row':
      return form.by === 'place' || form.by === 'order' ? null : (
        <div className="flex h-full w-full max-w-3xl gap-3">
          {shown.colours.map((colour, i) => (
            <Patch key={i} colour={colour} className="grow" />
          ))}
        </div>
      );
    case 'in a ground':
      return (
        <span
          className="flex h-full w-full max-w-2xl items-center justify-center"
          style={{ background: hexFromOklab(shown.ground) }}
        >
          <Patch colour={shown.colour} className="h-1/3 w-1/4" />
        </span>
      );
    case 'pile':
      return (
        <div className="flex h-full w-full max-w-3xl gap-8">
          <div className="flex min-w-0 grow basis-0 flex-col gap-1">
            <Patch colour={shown.colour} className="grow" />
            <p>
              The pile:{' '}
              {shown.parts.map(({ tube, parts }) => `${parts} ${nameOf(tube)}`).join(' + ')}
            </p>
          </div>
          <div className="flex min-w-0 grow basis-0 flex-col gap-1">
            <Patch colour={shown.wanted} className="grow" />
            <p>What is wanted</p>
          </div>
        </div>
      );
    case 'field':
      return <Field areas={shown.areas} />;
  }
}

/** Flex items whose factors come to less than 1 don't fill their line. */
const WHOLE = 100;

/** Areas in a row of a made-up picture. */
const IN_ROW = 3;

/** A made-up picture: its areas side by side in rows, each as large as its share. */
function Field({ areas }: { areas: readonly { colour: Oklab; share: number }[] }) {
  const rows = Array.from({ length: Math.ceil(areas.length / IN_ROW) }, (_, i) =>
    areas.slice(i * IN_ROW, (i + 1) * IN_ROW),
  );
  return (
    <div className="flex h-full w-full max-w-2xl flex-col">
      {rows.map((row, i) => (
        <div
          key={i}
          className="flex min-h-0 basis-0"
          style={{ flexGrow: row.reduce((sum, { share }) => sum + share, 0) * WHOLE }}
        >
          {row.map(({ colour, share }, k) => (
            <span
              key={k}
              className="block min-w-0 basis-0"
              style={{ flexGrow: share * WHOLE, background: hexFromOklab(colour) }}
            />
          ))}
        </div>
      ))}
    </div>
  );
}
