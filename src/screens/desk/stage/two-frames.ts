const MARGIN = 20;
const GAP = 12;

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Where two pictures of `aspect` = width / height stand on a stage: beside or above each other, as makes them larger. */
export function twoFrames(aspect: number, stage: { width: number; height: number }): [Box, Box] {
  const room = { width: stage.width - 2 * MARGIN, height: stage.height - 2 * MARGIN };
  const beside = fit(aspect, (room.width - GAP) / 2, room.height);
  const above = fit(aspect, room.width, (room.height - GAP) / 2);
  const isBeside = beside.width >= above.width;
  const { width, height } = isBeside ? beside : above;
  const across = isBeside ? width + GAP : 0;
  const down = isBeside ? 0 : height + GAP;
  const x = (stage.width - width - across) / 2;
  const y = (stage.height - height - down) / 2;
  return [
    { x, y, width, height },
    { x: x + across, y: y + down, width, height },
  ];
}

function fit(aspect: number, width: number, height: number) {
  const wide = Math.max(1, Math.min(width, height * aspect));
  return { width: wide, height: wide / aspect };
}
