import type { DeskStep } from '../../step';
import { TransferPanel } from './transfer-panel';
import { transferView } from './transfer-view';
import { useTransferOverlay } from './use-overlay';

/** A palette on this picture, its values held; the scene in other moods; what if one mass were other; one key. */
export const transferStep: DeskStep = {
  id: transferView.step,
  title: 'Use',
  letter: 'u',
  Panel: TransferPanel,
  useOverlay: useTransferOverlay,
  view: transferView,
};
