import type { Finding } from '@/contracts/finding';
import { Fold } from '@/ui/panel-parts';
import { percent } from '@/ui/words';

type Own = Finding['study'];

const ROWS: readonly (readonly [string, (of: Own) => string])[] = [
  ['key', ({ key }) => key],
  [
    'range',
    ({ range, darkest, lightest }) => `${range}, ${darkest.toFixed(1)} to ${lightest.toFixed(1)}`,
  ],
  ['dark', ({ zones }) => percent(zones.dark)],
  ['middle', ({ zones }) => percent(zones.middle)],
  ['light', ({ zones }) => percent(zones.light)],
  ['nearly grey', ({ neutral }) => percent(neutral)],
  ['warm, of the coloured', ({ warm }) => (warm === null ? '–' : percent(warm))],
  ['edges found', ({ edges }) => percent(edges.found)],
  ['edges lost', ({ edges }) => percent(edges.lost)],
];

/** Key, zones, temperature and edges of both, side by side. */
export function OwnFigures({ finding: { model, study } }: { finding: Finding }) {
  return (
    <Fold
      title="Key, zones, temperature"
      aside={model ? 'side by side' : 'of the study'}
      open={!model}
    >
      <table className="w-full text-[15px]">
        <thead>
          <tr className="text-sm text-soft">
            <th scope="col" className="text-left font-normal">
              <span className="sr-only">What</span>
            </th>
            {model && (
              <th scope="col" className="text-right font-normal">
                model
              </th>
            )}
            <th scope="col" className="text-right font-normal">
              study
            </th>
          </tr>
        </thead>
        <tbody>
          {ROWS.map(([title, of]) => (
            <tr key={title} className="border-t">
              <th scope="row" className="py-1 text-left font-normal">
                {title}
              </th>
              {model && <td className="text-right">{of(model)}</td>}
              <td className="text-right">{of(study)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Fold>
  );
}
