'use client';

import { Choice } from '@/ui/choice';
import { useStepView } from '../../desk-store';
import { transferView, type UseLook } from './transfer-view';

/** Over the picture, several side by side where there are some, or the greys of both. */
export function LooksChoice({ beside }: { beside?: string }) {
  const [{ look: value }, look] = useStepView(transferView);
  const titles: [UseLook, string][] = [
    ['over', 'on the picture'],
    ...(beside ? [['beside', beside] as [UseLook, string]] : []),
    ['greys', 'both in grey'],
  ];
  return (
    <div className="mb-3">
      <Choice
        label="Looked at"
        showLabel={false}
        fill
        value={titles.some(([one]) => one === value) ? value : 'over'}
        options={titles.map(([one, title]) => ({ value: one, title }))}
        onChange={(next) => look({ look: next })}
      />
    </div>
  );
}
