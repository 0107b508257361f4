import { hexFromOklab } from '@/core/colour/hex';
import { pencilStates, type LayerSource } from '@/core/mixing/layers-colour';
import { oklabFromLinear } from '@/core/colour/oklab';
import { linearOf } from '@/core/mixing/observer';
import { throughSurface } from '@/core/mixing/kubelka-munk';
import type { RecipeOf } from '@/core/mixing/medium-recipe';
import { WAX_FULL } from '@/core/mixing/pencils';
import { TechniqueCautions } from '@/materials/caution-lines';

const WIDE = 320;
const HIGH = 74;
const FLOOR = 66;
const DEPTH = 52;
const TEETH = 8;

/** How full the paper's tooth is after each layer, drawn as a section through the paper. */
export function ToothDrawing({
  recipe,
  source,
}: {
  recipe: RecipeOf<'pencils'>;
  source: Pick<LayerSource, 'colourOf' | 'factorOf'>;
}) {
  const states = pencilStates(recipe, source);
  if (!states) return null;
  const filled = states[states.length - 1].filled;
  const isFull = filled >= WAX_FULL && recipe.layers.at(-1)?.pressure !== 'burnish';
  const each = WIDE / TEETH;
  return (
    <figure className="mb-2" data-testid="tooth">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className="block w-full"
        role="img"
        aria-label={`The tooth of the paper, ${states
          .slice(1)
          .map((state) => `${Math.round(state.filled * 100)} %`)
          .join(', then ')} full`}
      >
        {states.slice(1).map((state, i) => {
          const [top, below] = [state.filled, states[i].filled].map((part) => FLOOR - part * DEPTH);
          return (
            <rect
              key={i}
              x={0}
              y={top}
              width={WIDE}
              height={Math.max(0.6, below - top)}
              fill={layerHex(state)}
            />
          );
        })}
        <path
          d={`M0 ${HIGH} ${Array.from({ length: TEETH }, (_, i) => `L${i * each} ${FLOOR - DEPTH} L${(i + 0.5) * each} ${FLOOR}`).join(' ')} L${WIDE} ${FLOOR - DEPTH} L${WIDE} ${HIGH} Z`}
          className="fill-sheet stroke-ink"
          strokeWidth={1}
        />
      </svg>
      <figcaption className="text-sm leading-snug text-soft">
        {isFull
          ? 'The tooth is full: wax slides over it now. To go on, lift some with a kneaded eraser, thin it, or scrape it off.'
          : `The tooth is ${Math.round(filled * 100)} % full.`}
        {isFull && (
          <TechniqueCautions medium="pencils" only={['scraping wax', 'solvent thinning']} />
        )}
      </figcaption>
    </figure>
  );
}

/** What lies in the tooth now: its largest part, as the eye gets it. */
function layerHex({ patches }: NonNullable<ReturnType<typeof pencilStates>>[number]): string {
  const [most] = patches.toSorted((one, other) => other.share - one.share);
  return hexFromOklab(oklabFromLinear(linearOf(most.reflectance.map(throughSurface))));
}
