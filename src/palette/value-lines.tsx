'use client';

import { scaleMarks } from '@/core/colour/value-scale';
import { useSettings } from '@/ui/settings';

/** The steps of the person's value scale as lines over a height of `room` px, the first `offset` px down. */
export function ValueLines({ room, offset }: { room: number; offset: number }) {
  const { settings } = useSettings();
  return scaleMarks(settings.scale).map(({ mark, value }, i) => (
    <div
      key={mark}
      className="absolute inset-x-0 border-t border-line"
      style={{ top: (1 - value / 10) * room + offset }}
      aria-hidden
    >
      {(settings.scale.steps < 7 || i % 2 === 0) && (
        <span className="absolute -top-2 -left-6 w-5 text-right text-[11px] leading-4 text-soft">
          {mark}
        </span>
      )}
    </div>
  ));
}
