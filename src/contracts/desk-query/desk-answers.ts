import type { Overprint } from '@/core/mixing/inks';
import type { FirstColour } from '@/core/mixing/underpainting';
import type { StickRecipe } from '@/core/mixing/sticks';
import type { GuardReading } from '@/core/amplify/guards';
import type { HiddenReading } from '@/core/amplify/hidden';
import type { ValueLock } from '@/core/amplify/value-lock';
import type { DepthStudy } from '@/core/depth/depth-study';
import type { FormStudy } from '@/core/form/form-study';
import type { Balance } from '@/core/measure/balance';
import type { Edge } from '@/core/measure/borders';
import type { BrightnessReading } from '@/core/measure/brightness';
import type { ColourStudy } from '@/core/measure/colour-study';
import type { FocusReading } from '@/core/measure/focus';
import type { LightAndShadow } from '@/core/measure/light-and-shadow';
import type { Merging } from '@/core/measure/separation';
import type { ValueEnds } from '@/core/measure/value-ends';
import type { ValueStudy } from '@/core/measure/value-study';
import type { ValueReading } from '@/core/measure/values';
import type { ZoneBody } from '@/core/measure/zones';
import type { Oklab } from '@/core/colour/oklab';
import type {
  InnerSetAnswer,
  MissingTubeAnswer,
  PencilRecipeAnswer,
  RecipeAnswer,
  SeparationAnswer,
  TubeChoiceAnswer,
  WashRecipeAnswer,
} from './mix-queries';
import type { ProposalAnswer, TransferFigures } from './transfer-queries';
import type { KeyEffect } from '@/core/transfer/key-effect';
import type { MoodEffect } from '@/core/transfer/moods';
import type { MassPlan } from '@/core/transfer/plan-masses';
import type { WhatIfEffect } from '@/core/transfer/what-if-effect';
import type { SubjectMass } from '@/core/transfer/subject';
import type { Extraction } from '@/core/palette/extract';
import type { Lean } from '@/core/palette/lean';
import type { Fit } from '@/core/palette/missing';
import type { Reach } from '@/core/palette/reach';
import type { CountSuggestion } from '@/core/palette/suggest';
import type { ColourCluster } from '@/core/picture/colour-clusters';
import type { Place } from '@/core/picture/framing';
import type { Picture } from '@/core/picture/picture';
import type { Probe } from '@/core/picture/probe';
import type { Plan } from '@/core/plan/value-plan';

/** A line to draw over the picture, in fractions of it. */
export interface DrawnLine {
  kind: Edge | 'merging';
  points: Place[];
}

/** A hidden colour's list without the cells, which stay in the worker. */
export type HiddenList = Omit<HiddenReading, 'labels'>;

/** What each kind of query is answered with; null where there is no picture at the place. */
export interface DeskAnswers {
  uncorrected: Picture;
  probe: Probe | null;
  clusters: ColourCluster[] | null;
  workingProbe: Probe | null;
  veil: Picture;

  greys: Picture;
  misleadingGreys: Picture;
  misleadingMarks: Picture;
  brightness: BrightnessReading;
  squint: Picture;
  values: ValueReading & { counts: number[] };
  valueEnds: ValueEnds;
  zoneBodies: ZoneBody[];
  zones: Picture;
  lightAndShadow: LightAndShadow;
  sides: Picture;
  separation: { merging: Merging[]; edges: ValueStudy['edges']; masses: number };
  edgeLines: DrawnLine[];
  form: FormStudy;
  depth: DepthStudy;
  haze: Picture;
  focus: Omit<FocusReading, 'busy'> & { balance: Balance };
  busy: Picture;
  plan: Plan;

  colours: ColourStudy;
  temperature: Picture;

  pushed: Picture;
  pushedGreys: Picture;
  hidden: HiddenList;
  guards: { guards: GuardReading; lock: ValueLock };
  hiddenMap: Picture;
  hiddenOutlines: Place[][][];

  extract: Extraction;
  leans: ({ lean: Lean } & Extraction)[];
  darkest: Oklab;
  countSuggestion: CountSuggestion;
  pick: { probe: Probe; clusters: ColourCluster[] } | null;
  shares: number[];
  mapped: Picture;
  failing: Picture;
  fit: Fit;
  reached: Picture;
  reach: Reach;

  /** For each colour its recipes, the best before others. */
  recipes: RecipeAnswer[][];
  whichTubes: TubeChoiceAnswer[];
  stickRecipes: StickRecipe[][];
  pencilRecipes: PencilRecipeAnswer[][];
  washRecipes: WashRecipeAnswer[][];
  separations: { colours: SeparationAnswer[]; overprints: Overprint[] };
  proof: Picture;
  plate: Picture;
  underpainting: FirstColour[];
  subject: SubjectMass[];
  massAt: number | null;
  proposals: ProposalAnswer[];
  transferred: Picture;
  unreached: Picture;
  whatIf: Picture;
  oneKey: Picture;
  transferFigures: TransferFigures;
  mood: Picture;
  moodEffect: MoodEffect & { palette: { colour: Oklab; share: number }[] };
  massesAt: (number | null)[];
  echo: Place[];
  massPlan: MassPlan;
  whatIfEffect: WhatIfEffect | null;
  keyEffect: KeyEffect;

  innerSet: InnerSetAnswer | null;
  missingTube: MissingTubeAnswer;
}
