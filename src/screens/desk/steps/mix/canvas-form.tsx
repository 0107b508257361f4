'use client';

import { Choice } from '@/ui/choice';
import { LengthField } from '@/ui/length-field';
import { Fold } from '@/ui/panel-parts';
import { useStepView } from '../../desk-store';
import { FILMS, mixView } from './mix-view';

/** The canvas, how thick it is painted, and the tubes' nozzle. */
export function CanvasForm() {
  const [{ width, height, film, nozzle }, look] = useStepView(mixView);
  return (
    <Fold
      title="Canvas"
      aside={`${width} × ${height} cm, ${film === 'usual' ? 'painted as usual' : `painted ${film}`}`}
    >
      <div className="grid grid-cols-3 gap-2">
        <LengthField
          label="Width, cm"
          value={width}
          range={[5, 400]}
          onChange={(next) => look({ width: next })}
        />
        <LengthField
          label="Height, cm"
          value={height}
          range={[5, 400]}
          onChange={(next) => look({ height: next })}
        />
        <LengthField
          label="Nozzle, mm"
          value={nozzle}
          range={[2, 30]}
          onChange={(next) => look({ nozzle: next })}
        />
      </div>
      <div className="mt-2">
        <Choice
          label="How thick the paint lies"
          showLabel={false}
          fill
          value={film}
          options={FILMS.map((value) => ({ value, title: value, said: `Painted ${value}` }))}
          onChange={(next) => look({ film: next })}
        />
      </div>
      <p className="mt-1 text-sm text-soft">A quarter more than the canvas takes is planned.</p>
    </Fold>
  );
}
