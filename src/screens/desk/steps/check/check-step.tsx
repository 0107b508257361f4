import type { DeskStep } from '../../step';
import { CheckPanel } from './check-panel';
import { CheckRoom } from './check-room';
import { checkView } from './check-view';
import { useCheckOverlay } from './use-check-overlay';

/** Sessions at the easel, and the study that was painted held against its model. */
export const checkStep: DeskStep = {
  id: checkView.step,
  title: 'Check',
  letter: 'f',
  Room: CheckRoom,
  Panel: CheckPanel,
  useOverlay: useCheckOverlay,
  view: checkView,
};
