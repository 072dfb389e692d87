import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useTheme } from 'styled-components';
import type { OutcomeDocument } from '../api/client';
import { usePreferences } from '../app/preferences';
import { Picture } from '../kit/layout';
import { useWidth } from './useWidth';

const LEFT = 56;
const RIGHT = 16;

/** What the duty asks: road speed above, heat into the oil below, over the whole session. */
export function DemandPicture({ outcome, height }: { outcome: OutcomeDocument; height: number }) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const { traces, figures } = outcome;
  const minutes = traces.timeSeconds.map((s) => s / 60);
  const end = minutes[minutes.length - 1] ?? 1;
  const x = scaleLinear([0, end], [LEFT, width - RIGHT]);
  const half = (height - 30) / 2;
  const rows = [
    { name: 'Road speed', values: traces.speedKmh, quantity: 'speed' as const, y0: half },
    { name: 'Heat into the oil', values: traces.heatKw, quantity: 'heat' as const, y0: 2 * half + 4 },
  ];
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`The duty over ${Math.round(end)} minutes; mean heat into the oil ${show(figures.meanHeatKw, 'heat')}.`}
      >
        {rows.map((row) => {
          const most = Math.max(...row.values, 1);
          const y = scaleLinear([0, most], [row.y0, row.y0 - half + 26]);
          const path = line<number>(
            (_, i) => x(minutes[i] ?? 0),
            (v) => y(v),
          )(row.values);
          return (
            <g key={row.name}>
              <line x1={LEFT} x2={width - RIGHT} y1={row.y0} y2={row.y0} stroke={theme.line} />
              <text x={LEFT} y={row.y0 - half + 16} className="strong">
                {row.name}
              </text>
              <text x={LEFT - 6} y={y(most) + 4} textAnchor="end">
                {show(most, row.quantity)}
              </text>
              <path d={path ?? ''} fill="none" stroke={theme.ink} strokeWidth={1} />
              {row.quantity === 'heat' && (
                <>
                  <line
                    x1={LEFT}
                    x2={width - RIGHT}
                    y1={y(figures.meanHeatKw)}
                    y2={y(figures.meanHeatKw)}
                    stroke={theme.ink}
                    strokeDasharray="6 4"
                  />
                  <text x={width - RIGHT} y={y(figures.meanHeatKw) - 5} textAnchor="end" className="strong halo">
                    mean {show(figures.meanHeatKw, 'heat')}
                  </text>
                </>
              )}
            </g>
          );
        })}
        {x.ticks(Math.max(3, Math.round(width / 120))).map((v) => (
          <text key={v} x={x(v)} y={height - 4} textAnchor="middle">
            {v === 0 ? '0' : `${v} min`}
          </text>
        ))}
      </svg>
    </Picture>
  );
}
