import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { LogEntry } from './log-entries';

/** The study as it was photographed last, beside its model. */
export function LogPictures({ entry: { session, check } }: { entry: LogEntry }) {
  const { snapshots } = session.content;
  const last = check?.snapshot ?? snapshots.at(-1)?.id;
  const pictures = [
    {
      src: hrefOf(endpoints.getThumbnail, { hash: session.study.pictureHash }),
      alt: `Model: ${session.study.title}`,
    },
    ...(last === undefined
      ? []
      : [
          {
            src: hrefOf(endpoints.getSnapshot, {
              id: session.id,
              snapshot: last,
              rendition: 'thumbnail',
            }),
            alt: 'The study',
          },
        ]),
  ];
  return (
    <div className="flex h-20 gap-1">
      {pictures.map(({ src, alt }) => (
        <img
          key={src}
          src={src}
          alt={alt}
          loading="lazy"
          className="h-full w-[83px] object-cover"
        />
      ))}
    </div>
  );
}
