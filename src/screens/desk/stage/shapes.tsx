'use client';

import { Circle, Label, Line, Shape, Tag, Text } from 'react-konva';
import type { DrawnLine } from '@/contracts/desk-query/desk-answers';
import type { Viewport } from './viewport';

interface Size {
  width: number;
  height: number;
}

interface RingProps {
  x: number;
  y: number;
  radius: number;
  strong: boolean;
  label?: string;
}

/** Black in white, so that it is seen on every colour. */
export function Ring({ x, y, radius, strong, label }: RingProps) {
  const r = Math.max(3, radius);
  return (
    <>
      <Circle x={x} y={y} radius={r + 1} stroke="#ffffff" strokeWidth={strong ? 2.5 : 1.5} />
      <Circle x={x} y={y} radius={r} stroke="#000000" strokeWidth={strong ? 1.5 : 0.75} />
      {label && (
        <Label x={x + r * 0.71 + 2} y={y - r * 0.71 - 20}>
          <Tag fill="#ffffff" stroke="#000000" strokeWidth={1} />
          <Text text={label} fontSize={15} fontStyle="600" padding={3} fill="#000000" />
        </Label>
      )}
    </>
  );
}

/** How the edges of masses are drawn: found ones whole, soft ones thin, lost ones in dots. */
const STROKES: Record<DrawnLine['kind'], { width: number; dash: number[] }> = {
  found: { width: 2, dash: [] },
  soft: { width: 0.75, dash: [] },
  lost: { width: 1.5, dash: [0.1, 5] },
  merging: { width: 3, dash: [] },
};

export function EdgeLines({
  lines,
  viewport,
  picture,
}: {
  lines: readonly DrawnLine[];
  viewport: Viewport;
  picture: Size;
}) {
  return lines.map(({ kind, points }, i) => {
    const at = points.flatMap(({ x, y }) => [
      viewport.x + x * picture.width * viewport.scale,
      viewport.y + y * picture.height * viewport.scale,
    ]);
    const { width, dash } = STROKES[kind];
    const style = { points: at, dash, lineCap: 'round', lineJoin: 'round' } as const;
    return [
      <Line key={`${i} rim`} {...style} stroke="#ffffff" strokeWidth={width + 1.75} />,
      <Line key={i} {...style} stroke="#000000" strokeWidth={width} />,
    ];
  });
}

/** The stroke that is being drawn: a band as wide as the brush, or a loop without a width. */
export function Drawing({ points, width }: { points: number[]; width: number | null }) {
  if (width !== null)
    return (
      <Line
        points={points}
        stroke="#ffffff"
        opacity={0.55}
        strokeWidth={Math.max(2, width)}
        lineCap="round"
        lineJoin="round"
      />
    );
  return (
    <>
      <Line points={points} closed stroke="#ffffff" strokeWidth={3} />
      <Line points={points} closed stroke="#000000" strokeWidth={1.25} />
    </>
  );
}

/** Dims all but a round place. */
export function Spot({
  width,
  height,
  x,
  y,
  radius,
}: Size & { x: number; y: number; radius: number }) {
  return (
    <Shape
      fill="#777777"
      opacity={0.8}
      sceneFunc={(context, shape) => {
        context.beginPath();
        context.rect(0, 0, width, height);
        // The other way round, so that it is a hole.
        context.moveTo(x + radius, y);
        context.arc(x, y, radius, 0, Math.PI * 2, true);
        context.closePath();
        context.fillStrokeShape(shape);
      }}
    />
  );
}
