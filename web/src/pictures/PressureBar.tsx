import { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { Picture } from '../kit/layout';
import { useWidth } from './useWidth';

const ROW = 26;
const LABEL = 92;
const VALUE = 96;

const words: Record<string, string> = {
  leakage: 'leaks past',
  opening: 'opening',
  mesh: 'stone mesh',
  duct: 'duct',
  core: 'core',
  fan: 'idle fan',
  radiator: 'radiator, bay',
  plate: 'plate',
  'feed hose': 'feed hose',
  'return hose': 'return hose',
};

interface Props {
  readonly losses: readonly Schemas['Loss'][];
  /** Formats a pressure in Pa. */
  readonly format: (pa: number) => string;
  readonly label: string;
}

/** Where a pressure goes: one bar for each part, in the order of the stream. */
export function PressureBar({ losses, format, label }: Props) {
  const theme = useTheme();
  const [ref, width] = useWidth();
  const total = losses.reduce((sum, l) => sum + l.pa, 0);
  const bar = Math.max(40, width - LABEL - VALUE);
  const starts = losses.map((_, i) => losses.slice(0, i).reduce((sum, l) => sum + l.pa, 0));
  return (
    <Picture ref={ref}>
      <svg
        width={width}
        height={losses.length * ROW}
        role="img"
        aria-label={`${label}: ${losses.map((l) => `${words[l.what] ?? l.what} ${format(l.pa)}`).join(', ')}`}
      >
        {losses.map((l, i) => {
          const x = LABEL + ((starts[i] ?? 0) / Math.max(total, 1e-9)) * bar;
          const w = Math.max(1.5, (l.pa / Math.max(total, 1e-9)) * bar);
          return (
            <g key={l.what} transform={`translate(0,${i * ROW})`}>
              <text x={LABEL - 8} y={17} textAnchor="end" className="strong">
                {words[l.what] ?? l.what}
              </text>
              <line x1={LABEL} x2={LABEL + bar} y1={ROW - 2} y2={ROW - 2} stroke={theme.faint} />
              <rect x={x} y={5} width={w} height={15} fill={l.what === 'core' ? theme.ink : theme.line} />
              <text x={LABEL + bar + VALUE} y={17} textAnchor="end">
                {format(l.pa)} · {Math.round((100 * l.pa) / Math.max(total, 1e-9))} %
              </text>
            </g>
          );
        })}
      </svg>
    </Picture>
  );
}
