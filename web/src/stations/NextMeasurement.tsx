import { useQuery } from '@tanstack/react-query';
import { queries } from '../api/queries';
import { useBench } from '../bench/workbench';
import { Heading, Muted } from '../kit/kit';
import { FigureTable } from '../kit/layout';
import { usePreferences } from '../preferences/preferences';
import { percent } from '../words/odds';
import { word } from '../words/words';
import { Figure } from './figure/Figure';

/** What each measurement would be worth for this car, duty and design; the best first. */
export function useNextMeasurement() {
  const { car, duty, design, behind } = useBench();
  const { data } = useQuery({ ...queries.next({ car, duty, design }), enabled: !behind });
  return data;
}

/** What to measure next, with what it would leave of the doubt, and its effort. */
export function NextMeasurement() {
  const { show } = usePreferences();
  const next = useNextMeasurement();
  if (!next) {
    return null;
  }
  const range = (low: number, high: number) => `${show(low, 'temperature')} to ${show(high, 'temperature')}`;
  return (
    <section aria-label="What to measure next">
      <Heading>What to measure next</Heading>
      <Muted>
        As it is known now, the peak lies between {show(next.peakLowC, 'temperature')} and{' '}
        {show(next.peakHighC, 'temperature')} 8 times in 10. Each measurement would leave a range about as wide as this
        one, around wherever it finds the peak.
      </Muted>
      <FigureTable aria-label="Measurements">
        <thead>
          <tr>
            <th scope="col">Measurement</th>
            <th scope="col">Leaves a range like</th>
            <th scope="col">Odds that you can then tell</th>
          </tr>
        </thead>
        <tbody>
          {next.measurements.map((m) => (
            <tr key={m.kind}>
              <th scope="row" style={{ whiteSpace: 'normal' }}>
                {word('measurement', m.kind, 'name')}
                <br />
                <Muted as="span">{word('measurement', m.kind, 'effort')}</Muted>
              </th>
              <td>
                <Figure of="PEAK" other>
                  {range(m.peakLowC, m.peakHighC)}
                </Figure>
              </td>
              <td>
                <Figure of="ODDS" other>
                  {percent(m.oddsToTell)}
                </Figure>
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
    </section>
  );
}
