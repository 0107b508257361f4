'use client';

import { useDesk } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { usePushSettings } from '../../push-settings';
import { TwoPictures } from '../../stage/two-pictures';
import { useDrawn } from '../../use-answer';
import { useVeil } from '../../use-veil';

/** The picture and the picture strengthened side by side, or the greys of both: they have to be the same. */
export function BeforeAndAfter({ greys }: { greys: boolean }) {
  const { canvas } = usePicture();
  const settings = usePushSettings();
  const quick = useDesk((state) => state.sliding);
  const pushed = useDrawn<'pushed'>(greys ? null : { kind: 'pushed', settings, quick });
  const before = useDrawn<'greys'>(greys ? { kind: 'greys' } : null);
  const after = useDrawn<'pushedGreys'>(greys ? { kind: 'pushedGreys', settings } : null);
  const veil = useVeil();
  return (
    <TwoPictures
      label={greys ? 'The greys before and after.' : 'The picture before and after.'}
      testId="two-pictures"
      titles={greys ? ['greys before', 'greys after'] : ['as it is', 'strengthened']}
      pictures={greys ? [before.canvas, after.canvas] : [canvas, pushed.canvas]}
      over={veil.canvas}
    />
  );
}
