import { scaleLinear } from 'd3-scale';
import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { usePreferences } from '../preferences/preferences';
import { Picture } from '../kit/layout';
import { quantities } from '../units/units';
import { lines } from './LogPicture';
import { useWidth } from './useWidth';

const LEFT = 62;
const RIGHT = 8;
const FOOT = 34;

/** The mean laps before and after over each other, by the share of their way: speed, and rise over the air per heat. */
export function LapsPicture({ laps, height }: { laps: Schemas['MeanLaps']; height: number }) {
  const theme = useTheme();
  const { show, units } = usePreferences();
  const rise = quantities.temperatureDifference[units.temperatureDifference];
  const heat = quantities.heat[units.heat];
  const [ref, width] = useWidth();
  const n = laps.speedBeforeKmh.length;
  const share = Array.from({ length: n }, (_, i) => (i + 0.5) / n);
  const x = scaleLinear([0, 1], [LEFT, width - RIGHT]);
  const room = height - FOOT;
  const bands = [
    {
      name: `Rise over the air per heat, ${rise.symbol}/${heat.symbol}`,
      before: laps.riseBeforeKPerKw as (number | null)[],
      after: laps.riseAfterKPerKw as (number | null)[],
      top: 18,
      bottom: room * 0.6,
      text: (v: number) => ((v * rise.factor) / heat.factor).toFixed(1),
    },
    {
      name: 'Road speed',
      before: laps.speedBeforeKmh,
      after: laps.speedAfterKmh,
      top: room * 0.6 + 24,
      bottom: room,
      text: (v: number) => show(v, 'speed'),
    },
  ];
  return (
    <Picture ref={ref}>
      <svg width={width} height={height} role="img" aria-label="The mean laps before and after, over each other">
        {bands.map((b) => {
          const all = [...b.before, ...b.after].filter((v): v is number => v !== null);
          const low = Math.min(...all);
          const high = Math.max(...all, low + 0.1);
          const y = scaleLinear([low, high], [b.bottom, b.top]);
          return (
            <g key={b.name}>
              <text x={LEFT} y={b.top - 6} className="strong">
                {b.name}
              </text>
              <line x1={LEFT} x2={width - RIGHT} y1={b.bottom} y2={b.bottom} stroke={theme.faint} />
              <text x={LEFT - 6} y={b.top + 8} textAnchor="end">
                {b.text(high)}
              </text>
              <text x={LEFT - 6} y={b.bottom} textAnchor="end">
                {b.text(low)}
              </text>
              <path d={lines(share, b.before, x, y)} fill="none" stroke={theme.ink} strokeDasharray="5 4" />
              <path d={lines(share, b.after, x, y)} fill="none" stroke={theme.ink} strokeWidth={2} />
            </g>
          );
        })}
        <text x={LEFT} y={height - 6}>
          Along the lap →
        </text>
        <text x={width - RIGHT} y={height - 6} textAnchor="end">
          - - before ── after
        </text>
      </svg>
    </Picture>
  );
}
