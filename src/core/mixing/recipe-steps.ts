import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { mixColour } from './mix-lab';
import type { RecipePart } from './recipes';
import { kindOf, weightOf, type Tube } from './tube';

/** What may go wrong with a step. */
export type StepRisk = 'strong stainer' | 'chalks' | 'hides';

/** One tube added to the pile. */
export interface RecipeStep {
  tube: Tube;
  parts: number;
  /** The pile before and after it; null before the first. */
  before: Oklab | null;
  after: Oklab;
  risk: StepRisk | null;
}

/** A tube that outweighs what it is added to by so much takes over at a touch. */
const STRONG = 6;
/** White that lowers chroma by more than this share chalks. */
const CHALKS = 0.25;

/**
 * The order in which a recipe is mixed: from the tube that gives the body down to the specks; what each makes of
 * the pile, and what may go wrong.
 */
export function stepsOf(parts: readonly RecipePart[]): RecipeStep[] {
  const ordered = inOrder(parts);
  return ordered.map(({ tube, parts: amount }, i) => {
    const pile = ordered.slice(0, i + 1);
    const before = i === 0 ? null : colourOf(ordered.slice(0, i));
    const after = colourOf(pile);
    const step = { tube, parts: amount, before, after };
    return { ...step, risk: riskOf(step, ordered.slice(0, i)) };
  });
}

/** The most parts first; of equals the weaker, since a strong stainer takes over. */
function inOrder(parts: readonly RecipePart[]): RecipePart[] {
  return parts.toSorted(
    (one, other) =>
      other.parts - one.parts || weightOf(one.tube.optics) - weightOf(other.tube.optics),
  );
}

const colourOf = (parts: readonly RecipePart[]): Oklab =>
  mixColour(
    parts.map(({ tube }) => tube.optics),
    parts.map((part) => part.parts),
  );

function riskOf(
  { tube, before, after }: Omit<RecipeStep, 'risk'>,
  pile: readonly RecipePart[],
): StepRisk | null {
  if (before === null) return null;
  const total = pile.reduce((sum, part) => sum + part.parts, 0);
  const weight =
    pile.reduce((sum, part) => sum + part.parts * weightOf(part.tube.optics), 0) / total;
  if (weightOf(tube.optics) > STRONG * weight) return 'strong stainer';
  if (kindOf(tube) !== 'white') return null;
  const [was, is] = [oklchFromOklab(before).C, oklchFromOklab(after).C];
  if (is < (1 - CHALKS) * was) return 'chalks';
  return pile.every((part) => part.tube.pigments.every(({ opacity }) => opacity === 'transparent'))
    ? 'hides'
    : null;
}
