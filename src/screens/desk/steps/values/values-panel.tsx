'use client';

import { Choice } from '@/ui/choice';
import { useDesk, useDeskStore } from '../../desk-store';
import { FIRST_LENS, type Topic } from '../../view';
import { BrightnessTopic } from './brightness-topic';
import { FocusTopic } from './focus-topic';
import { LightTopic } from './light-topic';
import { PartingTopic } from './parting-topic';
import { ZonesTopic } from './zones-topic';

const TITLES: Record<Topic, string> = {
  zones: 'spread',
  light: 'light',
  parting: 'parting',
  focus: 'focus',
  brightness: 'greys',
};

/** The picture in values alone, asked five things. */
export function ValuesPanel() {
  const topic = useDesk((state) => state.view.topic);
  const { look, set } = useDeskStore().getState();
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is asked"
          showLabel={false}
          fill
          value={topic}
          options={Object.entries(TITLES).map(([value, title]) => ({
            value: value as Topic,
            title,
          }))}
          onChange={(next) => {
            look({ topic: next, lens: FIRST_LENS[next] });
            set({ tool: 'look', hovered: null, pinned: null });
          }}
        />
      </div>
      {topic === 'zones' && <ZonesTopic />}
      {topic === 'light' && <LightTopic />}
      {topic === 'parting' && <PartingTopic />}
      {topic === 'focus' && <FocusTopic />}
      {topic === 'brightness' && <BrightnessTopic />}
    </>
  );
}
