'use client';

import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { FormStudy, MassForm } from '@/core/form/form-study';
import { useSettings } from '@/ui/settings';
import { capital, list } from '@/ui/words';
import { useDocument } from '../../desk-store';
import type { Focus } from '../../extension-points';
import { Finding, Section } from '../../panel/panel-parts';
import { unbroken } from '@/ui/panel-parts';
import { Pointing } from '../../panel/pointing';
import { useAnswer } from '../../use-answer';
import {
  contourWords,
  formSentence,
  gradientWords,
  haloWords,
  massWords,
  reflectionWords,
  shadowWords,
  turns,
  varietyWord,
} from './form-sentence';
import { LensChoice } from './lens-choice';

const MAX_LISTED = 6;
/** How wide the clear place is that an edge is shown with, as a share of the diagonal. */
const SHOWN = 0.08;

/** How masses turn from side to side, what lies along their edges, in their shadows and in the water. */
export function FormTab() {
  const squint = useDocument((document) => document.values.squint);
  const { scale } = useSettings().settings;
  const { value: form, stale } = useAnswer<'form'>({ kind: 'form', squint });
  if (!form) return <Finding>Looking how the masses turn …</Finding>;
  const turning = form.main.flatMap((mass, index) => (turns(mass) ? [{ mass, index }] : []));
  const still = form.main.filter((mass) => !turns(mass));
  return (
    <>
      <Finding
        stale={stale}
        focus={turning[0] ? { kind: 'masses', which: [turning[0].index] } : null}
      >
        {formSentence(form, scale)}
      </Finding>
      <LensChoice />
      <Section title="Across the main masses" aside="colour at one value">
        {turning.map(({ mass, index }) => (
          <MassRow key={index} mass={mass} index={index} />
        ))}
        {still.length > 0 && (
          <p className="py-2 text-[15px] leading-tight text-soft">
            {capital(list(still.map(massWords)))} {still.length === 1 ? 'does' : 'do'} not change
            from side to side.
          </p>
        )}
      </Section>
      <Others form={form} />
    </>
  );
}

function MassRow({ mass, index }: { mass: MassForm; index: number }) {
  return (
    <Row focus={{ kind: 'masses', which: [index] }} colours={[mass.colour]}>
      <span className="grow">
        {capital(massWords(mass))} {gradientWords(mass.gradients)}
      </span>
      <span className="shrink-0">{varietyWord(mass.variety)}</span>
    </Row>
  );
}

/** What was found along edges, in shadows and below a waterline, each under its heading. */
function Others({ form }: { form: FormStudy }) {
  const { scale } = useSettings().settings;
  const { masses, halos, lines, shadows, reflections } = form;
  const colourOf = (index: number) => masses[index].colour;
  const at = ({ x, y }: { x: number; y: number }): Focus => ({
    kind: 'place',
    x,
    y,
    radius: SHOWN,
  });
  return (
    <>
      {reflections.length > 0 && (
        <Section title="Likenesses below">
          {reflections.slice(0, MAX_LISTED).map((reflection, i) => (
            <Row
              key={i}
              focus={{ kind: 'masses', which: [reflection.above, reflection.below] }}
              colours={[colourOf(reflection.above), colourOf(reflection.below)]}
            >
              {reflectionWords(reflection, masses, scale)}
            </Row>
          ))}
        </Section>
      )}
      {shadows.length > 0 && (
        <Section title="In the shadow" aside="core, reflected light">
          {shadows.slice(0, MAX_LISTED).map((shadow, i) => (
            <Row
              key={i}
              focus={at(shadow.reflected.place)}
              colours={[shadow.core.colour, shadow.reflected.colour]}
            >
              {shadowWords(shadow, masses, scale)}
            </Row>
          ))}
        </Section>
      )}
      {halos.length + lines.length > 0 && (
        <Section title="Along the edges">
          {lines.slice(0, MAX_LISTED).map((line, i) => (
            <Row key={`line ${i}`} focus={at(line.place)} colours={line.masses.map(colourOf)}>
              {unbroken(contourWords(line, masses, scale))}
            </Row>
          ))}
          {halos.slice(0, MAX_LISTED).map((halo, i) => (
            <Row
              key={`halo ${i}`}
              focus={at(halo.place)}
              colours={[halo.mass, halo.beside].map(colourOf)}
            >
              {unbroken(haloWords(halo, masses, scale))}
            </Row>
          ))}
        </Section>
      )}
    </>
  );
}

function Row({
  focus,
  colours,
  children,
}: {
  focus: Focus;
  colours: readonly Oklab[];
  children: React.ReactNode;
}) {
  return (
    <Pointing
      focus={focus}
      className="flex items-center gap-2 border-b py-1 text-[15px] leading-tight"
    >
      <span className="flex shrink-0">
        {colours.map((colour, i) => (
          <span
            key={i}
            className={colours.length > 1 ? 'h-9 w-4' : 'h-9 w-8'}
            style={{ background: hexFromOklab(colour) }}
          />
        ))}
      </span>
      {children}
    </Pointing>
  );
}
