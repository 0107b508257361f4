'use client';

import type { MixingTube } from '@/study/shelf';
import { Choice } from '@/ui/choice';
import { Fold } from '@/ui/panel-parts';
import { Tick } from '@/ui/tick';
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
      <Tick checked={black} onChange={(next) => look({ black: next })}>
        Black may be used
      </Tick>
      <Tick checked={cadmiumFree} onChange={(next) => look({ cadmiumFree: next })}>
        No cadmium
      </Tick>
      <ul aria-label="Tubes that may be used" className="mt-1 border-t">
        {tubes.map(({ id, name }) => (
          <li key={id}>
            <Tick
              checked={!without.includes(id)}
              onChange={(next) =>
                look({ without: next ? without.filter((one) => one !== id) : [...without, id] })
              }
            >
              {name}
            </Tick>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
