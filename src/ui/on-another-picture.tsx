'use client';

import { ChooseStudy } from './choose-study';
import { Dialog } from './dialog';

/** Whose colours are put on a picture. */
export interface ColoursFrom {
  kind: 'study' | 'library';
  id: string;
  name: string;
}

interface Props {
  from: ColoursFrom | null;
  onClose: () => void;
}

/** Which picture some colours are to be put on; the Desk takes them there. */
export function OnAnotherPicture({ from, onClose }: Props) {
  return (
    <Dialog
      open={from !== null}
      onClose={onClose}
      title="On another picture"
      about={`Which picture is to take the colours of “${from?.name ?? ''}”? Its values hold.`}
    >
      {from && (
        <ChooseStudy
          except={from.kind === 'study' ? from.id : undefined}
          to={(id) => `/desk/${id}?step=use&take=${from.kind}.${from.id}`}
        />
      )}
    </Dialog>
  );
}
