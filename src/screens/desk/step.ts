import { createContext, useContext, type ComponentType, type ReactNode } from 'react';
import type { WheelId } from '@/core/colour/wheel';
import type { DrawnLine } from '@/contracts/desk-query/desk-answers';
import type { VeilPart } from '@/contracts/desk-query/desk-query';
import type { StudyDocument } from '@/contracts/study';
import type { DeskState } from './desk-store';
import type { FocusKinds, FocusOf } from './extension-points';
import type { Shortcut } from './shortcut';
import type { Drawn } from './use-answer';
import type { Point, StepView } from './view';

/** A place to mark on the picture: in fractions of it, the radius a share of its diagonal. */
export interface Mark extends Point {
  id: string;
  radius: number;
  strong: boolean;
  label?: string;
}

/** What a step lays over the picture, and what it does where the picture is touched. */
export interface StepOverlay {
  lens?: Drawn;
  lines?: readonly DrawnLine[];
  marks?: readonly Mark[];
  onTap?: (place: Point) => void;
  /** Takes a stroke of the brush or a loop of the lasso; without it, dragging pans the picture. */
  onStroke?: ((points: Point[]) => void) | null;
  /** Stands in place of the picture: a frame to crop it by, or two pictures side by side. */
  instead?: ReactNode;
}

/** What a veil is made of besides the part that is pointed at. */
export interface VeilContext {
  document: StudyDocument;
  wheel: WheelId;
  /** A step of the person's scale, in Munsell steps. */
  scaleStep: number;
}

/** For each kind of part that can be pointed at, what the veil leaves clear; null for nothing. */
export type FocusVeils = {
  [K in keyof FocusKinds]?: (focus: FocusOf<K>, context: VeilContext) => VeilPart | null;
};

/** What one part of the Desk may want another step for, without knowing which one it is. */
export type Purpose = 'look at a swatch' | 'strengthen';

/**
 * A step of the work, as its folder declares it. The Desk hosts steps and knows none of them; what two
 * steps share lies beside the Desk.
 */
export interface DeskStep {
  /** Stands in the address. */
  id: string;
  title: string;
  /** The letter that goes to it. */
  letter: string;
  /** What its panel and its overlay share; it is around the whole Desk, so that the stage stays as steps come and go. */
  Room?: ComponentType<{ children: ReactNode }>;
  /** What it found, and the tools for it. */
  Panel: ComponentType;
  /** A hook, called while the step is open. */
  useOverlay?: () => StepOverlay;
  /** The part of the address that it keeps. */
  view?: StepView<object>;
  veils?: FocusVeils;
  keys?: readonly Shortcut[];
  /** What it is gone to for; each sets the view to that. */
  serves?: Partial<Record<Purpose, (state: DeskState) => void>>;
  /** Where it stands in the order of work, in a word or figure. */
  stateOf?: (document: StudyDocument) => string;
}

export const StepsContext = createContext<readonly DeskStep[]>([]);

export function useSteps(): readonly DeskStep[] {
  return useContext(StepsContext);
}

/** Goes to the step that serves a purpose: the open one if it does, else the first. */
export function goFor(steps: readonly DeskStep[], purpose: Purpose, state: DeskState): void {
  const serving = steps.filter(({ serves }) => serves?.[purpose]);
  const step = serving.find(({ id }) => id === state.view.step) ?? serving[0];
  step?.serves?.[purpose]?.(state);
}
