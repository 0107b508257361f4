import { hexFromOklab } from '@/core/colour/hex';
import type { GreenMixture } from '@/core/mixing/strings';
import type { DabRow } from '@/core/plan/dab-chart';

interface Props {
  greens: readonly GreenMixture[];
  nameOf: (tube: string) => string;
}

const unique = (ids: readonly string[]) => [...new Set(ids)];

/** Every blue with every yellow, each alone and in white, and whether it is like anything that grows. */
export function GreensChart({ greens, nameOf }: Props) {
  if (greens.length === 0)
    return <p className="text-[15px]">A blue or green and a yellow have to be on the shelf.</p>;
  const blues = unique(greens.map(({ blue }) => blue.id));
  const yellows = unique(greens.map(({ yellow }) => yellow.id));
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Chart of greens">
      <table className="w-full text-left text-sm">
        <thead>
          <tr>
            <td />
            {yellows.map((id) => (
              <th key={id} scope="col" className="px-2 py-1 font-semibold">
                {nameOf(id)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {blues.map((blue) => (
            <tr key={blue} className="border-t">
              <th scope="row" className="pr-3 font-semibold">
                {nameOf(blue)}
              </th>
              {yellows.map((yellow) => {
                const green = greens.find(
                  (one) => one.blue.id === blue && one.yellow.id === yellow,
                );
                return (
                  <td key={yellow} className="px-2 py-1.5">
                    {green && (
                      <>
                        <span aria-hidden className="flex">
                          {[green.colour, green.tint].map((colour, i) => (
                            <span
                              key={i}
                              className="block h-9 min-w-10 grow"
                              style={{ background: hexFromOklab(colour) }}
                            />
                          ))}
                        </span>
                        {green.character}
                      </>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The same as rows to be printed and dabbed. */
export function greensRows(
  greens: readonly GreenMixture[],
  nameOf: (tube: string) => string,
): DabRow[] {
  return unique(greens.map(({ blue }) => blue.id)).map((blue) => ({
    title: nameOf(blue),
    cells: greens
      .filter((green) => green.blue.id === blue)
      .map(({ yellow, colour, character }) => ({
        hex: hexFromOklab(colour),
        words: [nameOf(yellow.id), character],
      })),
  }));
}
