'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { PLATE_KINDS, PRINT_WIDTHS, RULINGS, type PlateKind } from '@/contracts/plates-request';
import { TechniqueCautions } from '@/materials/caution-lines';
import { itemName } from '@/study/shelf-items';
import { callForFile } from '@/ui/api';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { Fold } from '@/ui/panel-parts';
import { Slider } from '@/ui/slider';
import { useDocument } from '../../../desk-store';
import { useStudyId } from '../../../facts';
import type { InkSet } from '@/study/ink-set';

const KIND_WORDS: Readonly<Record<PlateKind, string>> = {
  greys: 'Greys, as many as the tones: for a photopolymer, a riso, or whoever screens them.',
  screened: 'Dots that stand for the tones, each ink at its own angle, at 600 dots to the inch.',
  flat: 'Each place solid or bare: for stencils, lino and cut screens.',
};

/** The plates as files: one PNG each, all as PDF with marks to register them by, and the proof. */
export function PlatesForm({ set }: { set: InkSet }) {
  const { title, framing, neutral } = useDocument((document) => document);
  const studyId = useStudyId();
  const [kind, setKind] = useState<PlateKind>('greys');
  const [ruling, setRuling] = useState(45);
  const [width, setWidth] = useState(20);
  const [isMaking, setMaking] = useState(false);
  const make = async () => {
    setMaking(true);
    try {
      const zip = await callForFile(endpoints.printPlates, {
        id: studyId,
        body: {
          inks: set.items.map((item, i) => ({
            name: itemName(item),
            colour: item.colour,
            strength: set.strengths[i],
          })),
          paper: set.paper,
          kind,
          ruling,
          width,
          framing,
          neutral,
        },
      });
      keepFile(zip, fileName(title, 'plates', 'zip'));
    } catch (error) {
      showError(error);
    } finally {
      setMaking(false);
    }
  };
  return (
    <Fold title="Plates as files" aside="PNG and PDF">
      <Choice
        label="How they are made"
        showLabel={false}
        fill
        value={kind}
        options={PLATE_KINDS.map((value) => ({ value, title: value }))}
        onChange={setKind}
      />
      <p className="my-1 text-sm leading-snug text-soft">{KIND_WORDS[kind]}</p>
      <Slider
        label="Width of the print"
        value={width}
        min={PRINT_WIDTHS[0]}
        max={PRINT_WIDTHS[1]}
        words={`${width} cm`}
        onChange={setWidth}
      />
      {kind === 'screened' && (
        <Slider
          label="Ruling"
          value={ruling}
          min={RULINGS[0]}
          max={RULINGS[1]}
          words={`${ruling} lines to the inch`}
          onChange={setRuling}
        />
      )}
      <div className="mt-2">
        <Button disabled={isMaking} onClick={() => void make()}>
          {isMaking ? 'Making plates …' : 'Save the plates'}
        </Button>
      </div>
      <TechniqueCautions medium="inks" />
    </Fold>
  );
}
