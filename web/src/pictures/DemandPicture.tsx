import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useTheme } from 'styled-components';
import type { OutcomeDocument } from '../api/client';
import { usePreferences } from '../preferences/preferences';
import { Picture } from '../kit/layout';
import { useWidth } from './useWidth';

const LEFT = 56;
const RIGHT = 16;

/** How each way of estimating the heat is drawn: colour is for temperature. */
const DASHES = { SHARE_OF_POWER: undefined, FRICTION: '5 3' } as const;

interface Props {
  readonly outcome: OutcomeDocument;
  readonly chosen: keyof typeof DASHES;
  /** Whether a log has scaled the chosen school. */
  readonly fitted: boolean;
  readonly height: number;
}

/** What the duty asks: road speed above, heat into the oil by every school below, over the whole session. */
export function DemandPicture({ outcome, chosen, fitted, height }: Props) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const { traces, figures } = outcome;
  const minutes = traces.timeSeconds.map((s) => s / 60);
  const end = minutes[minutes.length - 1] ?? 1;
  const x = scaleLinear([0, end], [LEFT, width - RIGHT]);
  const half = (height - 30) / 2;
  const path = (values: readonly number[], y: (v: number) => number) =>
    line<number>(
      (_, i) => x(minutes[i] ?? 0),
      (v) => y(v),
    )([...values]) ?? '';
  const speedMost = Math.max(...traces.speedKmh, 1);
  const speedY = scaleLinear([0, speedMost], [half, 26]);
  const others = outcome.schools.filter((s) => fitted || s.school !== chosen);
  const heats = [traces.heatKw, ...others.map((s) => s.heatKw)];
  const heatMost = Math.max(1, ...heats.map((h) => Math.max(...h)));
  const heatY = scaleLinear([0, heatMost], [2 * half + 4, half + 30]);
  const own = fitted ? 'fitted to the log' : chosen === 'FRICTION' ? 'friction' : 'share of power';
  const legend = [
    { name: own, dash: fitted ? '1 2' : DASHES[chosen], strong: true },
    ...others.map((s) => ({
      name: s.school === 'FRICTION' ? 'friction' : 'share of power',
      dash: DASHES[s.school],
      strong: false,
    })),
  ];
  const top = half + 16;
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`The duty over ${Math.round(end)} minutes; mean heat into the oil ${show(figures.meanHeatKw, 'heat')}.`}
      >
        <line x1={LEFT} x2={width - RIGHT} y1={half} y2={half} stroke={theme.line} />
        <text x={LEFT} y={16} className="strong">
          Road speed
        </text>
        <text x={LEFT - 6} y={speedY(speedMost) + 4} textAnchor="end">
          {show(speedMost, 'speed')}
        </text>
        <path d={path(traces.speedKmh, speedY)} fill="none" stroke={theme.ink} strokeWidth={1} />
        <line x1={LEFT} x2={width - RIGHT} y1={2 * half + 4} y2={2 * half + 4} stroke={theme.line} />
        <text x={LEFT} y={top} className="strong">
          Heat into the oil
        </text>
        {legend.map((l, i) => (
          <g key={l.name} transform={`translate(${LEFT + 118 + i * 132},${top - 4})`}>
            <line x2={22} stroke={l.strong ? theme.ink : theme.soft} strokeWidth={2} strokeDasharray={l.dash} />
            <text x={27} y={4}>
              {l.name}
            </text>
          </g>
        ))}
        <text x={LEFT - 6} y={heatY(heatMost) + 4} textAnchor="end">
          {show(heatMost, 'heat')}
        </text>
        {others.map((s) => (
          <path
            key={s.school}
            d={path(s.heatKw, heatY)}
            fill="none"
            stroke={theme.soft}
            strokeWidth={1}
            strokeDasharray={DASHES[s.school]}
          />
        ))}
        <path
          d={path(traces.heatKw, heatY)}
          fill="none"
          stroke={theme.ink}
          strokeWidth={1.2}
          strokeDasharray={fitted ? '1 2' : DASHES[chosen]}
        />
        <line
          x1={LEFT}
          x2={width - RIGHT}
          y1={heatY(figures.meanHeatKw)}
          y2={heatY(figures.meanHeatKw)}
          stroke={theme.ink}
          strokeDasharray="9 4"
        />
        <text x={width - RIGHT} y={heatY(figures.meanHeatKw) - 5} textAnchor="end" className="strong halo">
          mean {show(figures.meanHeatKw, 'heat')}
        </text>
        {x.ticks(Math.max(3, Math.round(width / 120))).map((v) => (
          <text key={v} x={x(v)} y={height - 4} textAnchor="middle">
            {v === 0 ? '0' : `${v} min`}
          </text>
        ))}
      </svg>
    </Picture>
  );
}
