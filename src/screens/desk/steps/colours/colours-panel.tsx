'use client';

import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { useMeasured } from '../../use-drawn';
import type { Aspect } from '../../view';
import { Finding } from '../panel-parts';
import { AskedPlace } from './asked-place';
import { ChromaAspect } from './chroma-aspect';
import { HarmonyAspect } from './harmony-aspect';
import { HuesAspect } from './hues-aspect';
import { SeemingAspect } from './seeming-aspect';
import { WarmthAspect } from './warmth-aspect';

const TITLES: Record<Aspect, string> = {
  hues: 'hues',
  warmth: 'warmth',
  chroma: 'intensity',
  harmony: 'harmony',
  seeming: 'seems',
};

/** What colours the picture is in, and how they stand to each other. */
export function ColoursPanel({ studyId }: { studyId: string }) {
  const aspect = useDesk((state) => state.view.aspect);
  const { look, set } = useDeskStore().getState();
  const values = useDocument((document) => document.values);
  const corrections = useDocument((document) => document.lightAndShadow.corrections);
  const { settings } = useSettings();
  const key = JSON.stringify([values, corrections, settings.wheel]);
  const reading = useMeasured(key, (desk) => desk.readColours(values, corrections, settings.wheel));
  return (
    <>
      <AskedPlace studyId={studyId} />
      <div className="mb-3">
        <Choice
          label="What is asked"
          showLabel={false}
          fill
          value={aspect}
          options={Object.entries(TITLES).map(([value, title]) => ({
            value: value as Aspect,
            title,
          }))}
          onChange={(next) => {
            look({ aspect: next });
            set({ hovered: null, pinned: null });
          }}
        />
      </div>
      {!reading && <Finding>Reading the colours …</Finding>}
      {reading && aspect === 'hues' && <HuesAspect reading={reading} />}
      {reading && aspect === 'warmth' && <WarmthAspect reading={reading.temperature} />}
      {reading && aspect === 'chroma' && <ChromaAspect reading={reading.chroma} />}
      {reading && aspect === 'harmony' && <HarmonyAspect reading={reading.harmony} />}
      {reading && aspect === 'seeming' && <SeemingAspect reading={reading.readsAs} />}
    </>
  );
}
