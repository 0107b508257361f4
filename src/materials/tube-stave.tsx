import { filmOver, massTone, mixed } from '@/core/mixing/paint';
import { oklabOf } from '@/core/mixing/observer';
import { opticsOf, type Optics } from '@/core/mixing/pigment';
import { TITANIUM_WHITE } from '@/core/mixing/pigments/pigments';
import { spectrumOf } from '@/core/mixing/spectrum';
import { useSettings } from '@/ui/settings';
import { Stave } from '@/ui/stave';

/** White to one part of a tube, in the tints that are drawn. */
const TINTS = [1, 4, 10, 40];
/** Coats in which a tube is drawn over white. */
const FILMS = [0.03, 0.3];
const PAPER = spectrumOf(() => 1);

interface Props {
  name: string;
  optics: Optics;
  height: number;
}

/** What its columns are, for a line above several of them. */
export const TUBE_STAVE_COLUMNS = [
  'thin',
  'half thin',
  'thick',
  ...TINTS.map((parts) => `1 : ${parts}`),
];

/** What a tube does, as a stave: thin over white, from the tube, and in more and more white; each at its value. */
export function TubeStave({ name, optics, height }: Props) {
  const { scale } = useSettings().settings;
  const white = opticsOf(TITANIUM_WHITE);
  const spectra = [
    ...FILMS.map((coat) => ({ id: `thin ${coat}`, of: filmOver(optics, coat, PAPER) })),
    { id: 'thick', of: massTone(optics) },
    ...TINTS.map((parts) => ({
      id: `1:${parts}`,
      of: massTone(
        mixed([
          { optics, parts: 1 },
          { optics: white, parts },
        ]),
      ),
    })),
  ];
  return (
    <Stave
      swatches={spectra.map(({ id, of }) => ({ id, name: id, colour: oklabOf(of), share: null }))}
      scale={scale}
      height={height}
      label={`${name}: thin on white, thick, and in one to forty parts of white`}
    />
  );
}
