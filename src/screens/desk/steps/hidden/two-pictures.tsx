'use client';

import { useDesk } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { usePushSettings } from '../../push-settings';
import { TwoSights } from '../../stage/two-sights';
import { useDrawn } from '../../use-drawn';
import { useVeil } from '../../use-lens';

/** The picture and the picture pushed side by side, or the greys of both: they have to be the same. */
export function TwoPictures({ greys }: { greys: boolean }) {
  const { canvas } = usePicture();
  const asked = usePushSettings();
  const sliding = useDesk((state) => state.sliding);
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const key = JSON.stringify(asked);
  const pushed = useDrawn(greys ? null : `pushed ${key} ${sliding}`, (desk) =>
    desk.pushed(asked, sliding),
  );
  const before = useDrawn(greys ? 'greys' : null, (desk) => desk.greys());
  const after = useDrawn(greys ? `greys ${key}` : null, (desk) => desk.pushedGreys(asked));
  const veil = useVeil(focus);
  return (
    <TwoSights
      label={greys ? 'The greys before and after.' : 'The picture before and after.'}
      testId="two-pictures"
      titles={greys ? ['greys before', 'greys after'] : ['as it is', 'pushed']}
      sights={greys ? [before, after] : [canvas, pushed]}
      over={veil}
    />
  );
}
