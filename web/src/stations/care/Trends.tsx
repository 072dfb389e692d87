import styled from 'styled-components';
import { Fold, Heading, Muted } from '../../kit/kit';
import { usePreferences } from '../../preferences/preferences';
import { headed, word } from '../../words/words';
import { figured, type View } from './entries';
import { Figure } from '../figure/Figure';

type Trend = View['trends'][number];

const Line = styled.svg`
  display: block;
  width: 100%;
  max-width: 380px;
  overflow: visible;
  & polyline {
    fill: none;
    stroke: ${(p) => p.theme.soft};
    stroke-width: 1.5;
  }
  & circle {
    fill: ${(p) => p.theme.ink};
  }
`;

const WIDTH = 240;
const HEIGHT = 48;
const DOT = 3.5;

/** Figures that were read, each over time, with what its last one says. */
export function Trends({ care }: { care: View }) {
  const { show } = usePreferences();
  return (
    <>
      <Heading>Oil and readings</Heading>
      <p style={{ margin: 0 }}>
        {care.oilHours > 0
          ? `This oil has ${care.oilHours.toFixed(1)} h at ${show(100, 'temperature')} or their like behind it.`
          : 'No oil hours were written down since the last change.'}
      </p>
      {care.trends.length === 0 && (
        <Muted>
          Figures of an oil analysis and of the dash come here with their trend: save some under “A reading by hand”.
        </Muted>
      )}
      {care.trends.map((t) => (
        <OneTrend key={t.figure} trend={t} />
      ))}
    </>
  );
}

function OneTrend({ trend }: { trend: Trend }) {
  const { say, show } = usePreferences();
  const last = trend.points.at(-1);
  if (!last) {
    return null;
  }
  const figure = (v: number) => figured(trend.measure, v, show);
  const values = trend.points.map((p) => p.value);
  const low = Math.min(...values);
  const high = Math.max(...values);
  const days = trend.points.map((p) => Date.parse(p.day));
  const first = days[0] ?? 0;
  const span = (days.at(-1) ?? 0) - first;
  const at = trend.points.map((p, i) => ({
    x: span > 0 ? (((days[i] ?? 0) - first) / span) * WIDTH : WIDTH / 2,
    y: high > low ? HEIGHT - ((p.value - low) / (high - low)) * HEIGHT : HEIGHT / 2,
  }));
  return (
    <section aria-label={`Trend: ${word('careFigure', trend.figure)}`}>
      <p style={{ margin: '6px 0 0' }}>
        <strong>
          {word('careFigure', trend.figure)}: <Figure of="TREND">{figure(last.value)}</Figure>
        </strong>
        {trend.notes.length > 0 && ` – ${trend.notes.map(say).map(headed).join('. ')}.`}
      </p>
      {trend.points.length > 1 && (
        <Line viewBox={`-6 -6 ${WIDTH + 12} ${HEIGHT + 12}`} aria-hidden>
          <polyline points={at.map((p) => `${p.x},${p.y}`).join(' ')} />
          {at.map((p, i) => (
            <circle key={i} cx={p.x} cy={p.y} r={DOT} />
          ))}
        </Line>
      )}
      <Fold name="Readings" short={String(trend.points.length)}>
        <ul style={{ margin: 0, paddingLeft: 20 }}>
          {[...trend.points].reverse().map((p, i) => (
            <li key={i}>
              {p.day}: {figure(p.value)}
              {p.oilHours > 0 && <Muted as="span"> after {p.oilHours.toFixed(1)} h of this oil</Muted>}
            </li>
          ))}
        </ul>
      </Fold>
    </section>
  );
}
