'use client';

import type { ComponentProps } from 'react';
import { guessDab } from '@/core/mixing/card-photo';
import { ChangeColour } from '@/ui/change-colour';
import { PatchPhoto } from './patch-photo';

const DAB_TITLES = { dab: 'dab' };

/** What a dab looks like: matched by sliders, typed, or photographed beside paper. */
export function DabFields(dab: ComponentProps<typeof ChangeColour>) {
  return (
    <fieldset>
      <legend className="text-sm text-soft">What the dab looks like, matched by eye</legend>
      <ChangeColour {...dab} />
      <PatchPhoto
        of="the dab"
        roles={DAB_TITLES}
        guess={guessDab}
        onPatch={(_, found) => dab.onType(found)}
      />
    </fieldset>
  );
}
