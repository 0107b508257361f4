'use client';

import type { MixingTube } from '@/study/shelf';
import { Choice } from '@/ui/choice';
import { Fold } from '@/ui/panel-parts';
import { list } from '@/ui/words';
import { useStepView } from '../../desk-store';
import { mixView, TUBE_LIMITS } from './mix-view';

/** What recipes may take: how many tubes, black or not, and which of the palette. */
export function MixLimits({ tubes }: { tubes: readonly MixingTube[] }) {
  const [{ most, black, cadmiumFree, without }, look] = useStepView(mixView);
  const said = [
    `up to ${most} tubes`,
    black ? 'black too' : 'no black',
    ...(cadmiumFree ? ['no cadmium'] : []),
    ...(without.length > 0 ? [`${without.length} left out`] : []),
  ];
  return (
    <Fold title="Only with" aside={list(said)}>
      <Choice
        label="Tubes in one recipe"
        value={most}
        options={TUBE_LIMITS.map((value) => ({ value, title: value }))}
        onChange={(next) => look({ most: next })}
      />
      <Tick label="Black may be used" on={black} onChange={(next) => look({ black: next })} />
      <Tick label="No cadmium" on={cadmiumFree} onChange={(next) => look({ cadmiumFree: next })} />
      <ul aria-label="Tubes that may be used" className="mt-1 border-t">
        {tubes.map(({ id, name }) => (
          <li key={id}>
            <Tick
              label={name}
              on={!without.includes(id)}
              onChange={(next) =>
                look({ without: next ? without.filter((one) => one !== id) : [...without, id] })
              }
            />
          </li>
        ))}
      </ul>
    </Fold>
  );
}

function Tick({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label className="flex min-h-10 items-center gap-3 text-[15px]">
      <input
        type="checkbox"
        className="h-5 w-5"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}
