import type { PicturePlace } from '@/core/drills/picture-places';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';

/** A picture with a ring about the place that is asked about: black and white, so that it is seen on any colour. */
export function InPicture({ place }: { place: PicturePlace }) {
  const { picture, title, aspect, x, y, radius } = place;
  // A share of the diagonal, as one of the width.
  const across = (2 * radius * Math.hypot(aspect, 1)) / aspect;
  return (
    <div className="flex h-full w-full items-center justify-center [container-type:size]">
      <div
        className="relative"
        // As large as there is room for, at its own proportions.
        style={{ aspectRatio: aspect, width: `min(100cqw, calc(100cqh * ${aspect}))` }}
      >
        <img
          src={hrefOf(endpoints.getPicture, { id: picture, rendition: 'working' })}
          alt={`“${title}” with a ring about one place`}
          className="h-full w-full"
        />
        <span
          aria-hidden
          data-testid="ring"
          className="absolute -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-black outline-2 outline-white"
          style={{
            left: `${x * 100}%`,
            top: `${y * 100}%`,
            width: `${across * 100}%`,
            aspectRatio: 1,
          }}
        />
      </div>
    </div>
  );
}
