import type { DeskStep } from '../../step';
import { key } from '../../shortcut';
import type { Tool } from '../../extension-points';
import type { DeskState } from '../../desk-store';
import { LookPanel } from './look-panel';
import { useLookOverlay } from './look-overlay';

declare module '../../extension-points' {
  interface ToolKinds {
    crop: true;
    neutral: true;
  }
}

const ID = 'look';

const tool = (to: Tool) => (state: DeskState) => {
  state.look({ step: ID });
  state.set({ tool: state.tool === to ? 'look' : to });
};

/** Say what the study is for; bring the picture upright; take out a cast. */
export const lookStep: DeskStep = {
  id: ID,
  title: 'Look',
  letter: 'l',
  Panel: LookPanel,
  useOverlay: useLookOverlay,
  keys: [key('C', 'Crop', tool('crop')), key('N', 'Neutral point', tool('neutral'))],
  stateOf: ({ aims }) => (aims.length > 0 ? 'aim set' : ''),
};
