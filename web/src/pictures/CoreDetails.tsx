import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';

/** A port is drawn as wide as this, and stands out as far, mm. */
const PORT_MM = 22;

const OUT: Record<Schemas['CorePortDocument']['points'], readonly [number, number]> = {
  UP: [0, 1],
  DOWN: [0, -1],
  LEFT: [-1, 0],
  RIGHT: [1, 0],
  FRONT: [0, 0],
  BACK: [0, 0],
};

/** Ports and holes of a core seen from the front, each where the templates and the hoses have it. */
export function CoreDetails(props: {
  layout: Schemas['CoreSheetDocument'] | undefined;
  /** From millimetres right of the core's middle to the drawing. */
  x: (mm: number) => number;
  /** From millimetres above it. */
  y: (mm: number) => number;
  scale: number;
}) {
  const { layout, x, y, scale } = props;
  const theme = useTheme();
  return (
    <g aria-hidden>
      {layout?.ports.map((p, i) => {
        const [dx, dy] = OUT[p.points];
        return dx === 0 && dy === 0 ? (
          <circle
            key={i}
            cx={x(p.xMm)}
            cy={y(p.yMm)}
            r={(PORT_MM / 2) * scale}
            fill={p.points === 'FRONT' ? theme.ink : theme.paper}
            stroke={theme.ink}
            strokeWidth={1.4}
          />
        ) : (
          <line
            key={i}
            x1={x(p.xMm)}
            y1={y(p.yMm)}
            x2={x(p.xMm + dx * PORT_MM)}
            y2={y(p.yMm + dy * PORT_MM)}
            stroke={theme.ink}
            strokeWidth={Math.max(3, PORT_MM * scale)}
          />
        );
      })}
      {layout?.holes.map((h, i) => (
        <circle
          key={i}
          cx={x(h.xMm)}
          cy={y(h.yMm)}
          r={Math.max(1.5, (h.holeMm / 2) * scale)}
          fill={theme.paper}
          stroke={theme.ink}
        />
      ))}
    </g>
  );
}
