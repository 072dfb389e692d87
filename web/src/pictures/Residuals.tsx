import { scaleLinear } from 'd3-scale';
import { useTheme } from 'styled-components';
import { usePreferences } from '../preferences/preferences';
import { Picture } from '../kit/layout';
import { useWidth } from './useWidth';

const LEFT = 46;
const FOOT = 22;

interface Props {
  readonly timeSeconds: readonly number[];
  readonly residualK: readonly number[];
  readonly rmsK: number;
  readonly height: number;
}

/** What the log read above or below the fitted model, over time. */
export function Residuals({ timeSeconds, residualK, rmsK, height }: Props) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const end = Math.max(60, ...timeSeconds);
  const most = Math.max(2, ...residualK.map(Math.abs));
  const x = scaleLinear([0, end], [LEFT, width - 10]);
  const y = scaleLinear([-most, most], [height - FOOT, 8]);
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Logged less modelled oil temperature; ${show(rmsK, 'temperatureDifference', 1)} root mean square`}
      >
        <line x1={LEFT} x2={width - 10} y1={y(0)} y2={y(0)} stroke={theme.line} />
        {[-most, most].map((v) => (
          <text key={v} x={LEFT - 6} y={y(v) + (v > 0 ? 9 : 0)} textAnchor="end">
            {v > 0 ? '+' : '−'}
            {show(Math.abs(v), 'temperatureDifference', 1)}
          </text>
        ))}
        {timeSeconds.map((t, i) => (
          <circle key={t} cx={x(t)} cy={y(residualK[i] ?? 0)} r={2} fill={theme.ink} />
        ))}
        <text x={LEFT} y={height - 5}>
          logged less modelled, {show(rmsK, 'temperatureDifference', 1)} root mean square
        </text>
        <text x={width - 10} y={height - 5} textAnchor="end">
          {Math.round(end / 60)} min
        </text>
      </svg>
    </Picture>
  );
}
