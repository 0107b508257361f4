import type { PaintedDrawing } from './colourway';

/** For each paint that was merged into another the one it ended in; what is merged in a circle stays. */
export function mergeTargets(
  merges: readonly { paint: string; into: string }[],
): Map<string, string> {
  const into = new Map(merges.map((merge) => [merge.paint, merge.into]));
  const ends = new Map<string, string>();
  for (const paint of into.keys()) {
    let at = paint;
    for (let i = 0; i <= into.size && into.has(at); i++) at = into.get(at)!;
    if (at !== paint && !into.has(at)) ends.set(paint, at);
  }
  return ends;
}

/** A drawing with some of its paints merged: each that is left has the area and the neighbours of those that went into it. */
export function mergedDrawing(
  { paints, touching, ground }: PaintedDrawing,
  targets: ReadonlyMap<string, string>,
): PaintedDrawing {
  const endOf = (hex: string) => targets.get(hex) ?? hex;
  const areas = new Map<string, { area: number; uses: number }>();
  for (const { hex, area, uses } of paints) {
    const own = areas.get(endOf(hex)) ?? { area: 0, uses: 0 };
    areas.set(endOf(hex), { area: own.area + area, uses: own.uses + uses });
  }
  const pairs = new Map<string, [string, string]>();
  for (const [one, other] of touching) {
    const pair = [endOf(one), endOf(other)].sort() as [string, string];
    if (pair[0] !== pair[1]) pairs.set(pair.join(), pair);
  }
  return {
    paints: paints
      .filter(({ hex }) => endOf(hex) === hex)
      .map((paint) => ({ ...paint, ...areas.get(paint.hex)! })),
    touching: [...pairs.values()],
    ground: ground === null ? null : endOf(ground),
  };
}

/** What each paint of a drawing becomes: one that was merged becomes what the one it went into does. */
export function mapOfAll(
  paints: readonly { hex: string }[],
  targets: ReadonlyMap<string, string>,
  map: ReadonlyMap<string, string>,
): Map<string, string> {
  return new Map(
    paints.map(({ hex }) => {
      const end = targets.get(hex) ?? hex;
      return [hex, map.get(end) ?? end];
    }),
  );
}
