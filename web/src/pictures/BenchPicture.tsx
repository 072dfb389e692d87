import { scaleLinear } from 'd3-scale';
import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { Picture } from '../kit/layout';
import { usePreferences } from '../preferences/preferences';
import { useWidth } from './useWidth';

type Line = Schemas['PlumbedLine'];

const ROW = 92;
const SIDE = 8;
const HOSE = 14;

/** Both hoses as they lie on the bench, to scale: ends, cut, marks for the ends, and where each is held. */
export function BenchPicture({ lines }: { lines: readonly Line[] }) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const drawn = lines.flatMap((l) => (l.cut ? [{ line: l, cut: l.cut }] : []));
  const longest = Math.max(1, ...drawn.map(({ cut }) => cut.centreLineMm + cut.slackMm));
  const x = scaleLinear([0, longest], [SIDE, width - SIDE]);
  const mm = (v: number) => show(v, 'length');
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={ROW * drawn.length}
        role="img"
        aria-label={`On the bench: ${drawn.map(({ line, cut }) => `${line.name} cut to ${mm(cut.cutMm)}`).join(', ')}`}
      >
        {drawn.map(({ line, cut }, row) => {
          const y = row * ROW + 46;
          const from = cut.deductionFromMm;
          const to = cut.centreLineMm + cut.slackMm - cut.deductionToMm;
          const end = cut.centreLineMm + cut.slackMm;
          const start = from - cut.insertionFromMm;
          const stop = to + cut.insertionToMm;
          return (
            <g key={line.name}>
              <text x={SIDE} y={y - 30} className="strong">
                {line.name === 'feed' ? 'Feed, to the core' : 'Return, from the core'}
              </text>
              <rect
                x={x(start)}
                y={y - HOSE / 2}
                width={Math.max(0, x(stop) - x(start))}
                height={HOSE}
                fill={theme.faint}
                stroke={theme.ink}
                strokeWidth={1.2}
              />
              {[
                [0, from],
                [to, end],
              ].map(([a = 0, b = 0]) => (
                <rect
                  key={a}
                  x={x(a)}
                  y={y - HOSE / 2 - 4}
                  width={Math.max(2, x(b) - x(a))}
                  height={HOSE + 8}
                  fill={theme.sheet}
                  fillOpacity={0.7}
                  stroke={theme.ink}
                  strokeWidth={1.6}
                />
              ))}
              {cut.clipsMm.map((c) => (
                <path
                  key={c}
                  d={`M${x(from + c)} ${y - HOSE / 2 - 5}v${HOSE + 10}`}
                  stroke={theme.soft}
                  strokeWidth={2}
                  strokeDasharray="3 2"
                />
              ))}
              <path
                d={`M${x(start)} ${y + 18}v8M${x(start)} ${y + 22}H${x(stop)}M${x(stop)} ${y + 18}v8`}
                stroke={theme.ink}
                fill="none"
              />
              <text x={(x(start) + x(stop)) / 2} y={y + 36} textAnchor="middle" className="strong">
                cut {mm(cut.cutMm)} ± {mm(cut.toleranceMm)}
              </text>
              <text x={x(0)} y={y + 36}>
                {cut.fromEnd.split(', ')[1]}
              </text>
              <text x={x(end)} y={y + 36} textAnchor="end">
                {cut.toEnd.split(', ')[1]}
              </text>
            </g>
          );
        })}
      </svg>
    </Picture>
  );
}
