'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { guessCard, type CardRole } from '@/core/mixing/card-photo';
import { fitCard } from '@/core/mixing/fit-card';
import { mixColour } from '@/core/mixing/mix-lab';
import { opticsOf, type Optics } from '@/core/mixing/pigment';
import { TITANIUM_WHITE } from '@/core/mixing/pigments/pigments';
import type { ShelfCard } from '@/contracts/shelf';
import { PatchPhoto } from '@/materials/patch-photo';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/field';
import { Fold } from '@/ui/panel-parts';
import { typedColour } from '@/ui/typed-colour';
import { percent } from '@/ui/words';

interface Props {
  /** The tube as its pigments and strength have it. */
  plain: Optics;
  card: ShelfCard | null;
  onCard: (card: ShelfCard | null) => void;
}

const WHITE_PARTS = 4;
const CARD_TITLES: Readonly<Record<CardRole, string>> = { massTone: 'from the tube', tint: 'tint' };
const GREY: Oklab = { L: 0.5, a: 0, b: 0 };

/** A painted card of the tube: photographed or typed, fitted, and held beside what is foretold. */
export function CardForm({ plain, card, onCard }: Props) {
  const [massTone, setMassTone] = useState(card ? hexFromOklab(card.massTone) : '');
  const [tint, setTint] = useState(card ? hexFromOklab(card.tint) : '');
  const [white, setWhite] = useState(String(card?.whiteParts ?? WHITE_PARTS));
  const whiteParts = Number(white.replace(',', '.'));
  const colours = [massTone, tint].map((text) => (text.trim() ? typedColour(text, GREY) : null));
  const isWhole =
    colours[0] !== null && colours[1] !== null && whiteParts >= 0.5 && whiteParts <= 100;
  const wrong = (text: string, colour: Oklab | null) =>
    text.trim() && !colour ? 'Not a colour yet.' : undefined;
  return (
    <Fold title="Card" aside={card ? 'fitted' : 'none painted'}>
      <PatchPhoto
        of="a card"
        roles={CARD_TITLES}
        guess={guessCard}
        onPatch={(role, colour) =>
          (role === 'massTone' ? setMassTone : setTint)(hexFromOklab(colour))
        }
      />
      <div className="mt-2 grid grid-cols-3 gap-2">
        <TextField
          label="From the tube"
          value={massTone}
          error={wrong(massTone, colours[0])}
          onChange={(event) => setMassTone(event.target.value)}
        />
        <TextField
          label="Tint"
          value={tint}
          error={wrong(tint, colours[1])}
          onChange={(event) => setTint(event.target.value)}
        />
        <TextField
          label="Parts of white"
          inputMode="decimal"
          value={white}
          error={whiteParts >= 0.5 && whiteParts <= 100 ? undefined : '½ to 100'}
          onChange={(event) => setWhite(event.target.value)}
        />
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          disabled={!isWhole}
          onClick={() => {
            const [mass, pale] = colours;
            if (mass && pale) onCard({ massTone: mass, tint: pale, whiteParts });
          }}
        >
          Fit the tube to it
        </Button>
        {card && (
          <Button weight="quiet" className="underline" onClick={() => onCard(null)}>
            Forget the card
          </Button>
        )}
      </div>
      {card && <CardOutcome plain={plain} card={card} />}
    </Fold>
  );
}

/** The card, what was foretold of it and what is foretold now, side by side; and how the tube differs from its pigment. */
function CardOutcome({ plain, card }: { plain: Optics; card: ShelfCard }) {
  const { factors, spread, optics } = fitCard(plain, card);
  const white = opticsOf(TITANIUM_WHITE);
  const rows: [string, Oklab, (paint: Optics) => Oklab][] = [
    ['from the tube', card.massTone, (paint) => mixColour([paint], [1])],
    ['tint', card.tint, (paint) => mixColour([paint, white], [1, card.whiteParts])],
  ];
  const strength = Math.cbrt(factors[0] * factors[1] * factors[2]);
  const unsure = Math.max(...spread);
  const differs = Math.abs(strength - 1);
  return (
    <div className="mt-2" data-testid="card-outcome">
      {rows.map(([title, own, foretold]) => (
        <div key={title} className="flex items-center gap-2 text-sm">
          <span aria-hidden className="flex">
            {[own, foretold(plain), foretold(optics)].map((colour, i) => (
              <span
                key={i}
                className="block h-9 w-14"
                style={{ background: hexFromOklab(colour) }}
              />
            ))}
          </span>
          {title}
        </div>
      ))}
      <p className="mt-1 text-sm leading-snug text-soft">
        The card, then as its pigment has it, then as fitted. It absorbs{' '}
        {differs < 0.03
          ? 'as its pigment does'
          : `${percent(differs)} ${strength > 1 ? 'more' : 'less'} than usual`}
        , sure to about {percent(unsure)}.
      </p>
    </div>
  );
}
