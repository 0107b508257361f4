import { addressCodec, oneOf } from '@/ui/address';
import { useStepView } from '../../desk-store';
import { key } from '../../shortcut';
import type { DeskStep } from '../../step';
import type { StepView } from '../../view';

declare module '../../extension-points' {
  interface FocusKinds {
    corner: { side: 'left' | 'right' };
  }
}

interface ExtraView {
  mood: 'calm' | 'storm';
}

const extraView: StepView<ExtraView> = {
  step: 'extra',
  codec: addressCodec<ExtraView>({ mood: oneOf('mood', ['calm', 'storm'], 'calm') }),
};

function ExtraPanel() {
  const [{ mood }] = useStepView(extraView);
  return <p>The mood is {mood}.</p>;
}

/** For tests: a step as anyone might add it, with everything that a step can declare. */
export const extraStep: DeskStep = {
  id: extraView.step,
  title: 'Extra',
  letter: 'y',
  Panel: ExtraPanel,
  useOverlay: () => ({ marks: [{ id: 'extra', x: 0.5, y: 0.5, radius: 0.1, strong: true }] }),
  view: extraView,
  veils: { corner: ({ side }) => ({ kind: 'hue', from: side === 'left' ? 0 : 180, to: 200 }) },
  keys: [
    key('J', 'Storm', (state) => {
      state.goTo(extraView.step);
      state.lookIn(extraView, { mood: 'storm' });
    }),
  ],
  stateOf: ({ title }) => `of ${title}`,
};
