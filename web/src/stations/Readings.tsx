import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { queries } from '../api/queries';
import { useBench } from '../bench/workbench';
import { Button, Heading, Muted, Row } from '../kit/kit';
import { FigureTable } from '../kit/layout';
import { usePreferences } from '../preferences/preferences';
import { AddReading, type Reading } from './AddReading';
import { Figure } from './figure/Figure';

/** What was read on the car by hand, beside what the model expects, and the way to use it. */
export function Readings() {
  const { car, now, changeCar } = useBench();
  const { show } = usePreferences();
  const [adding, setAdding] = useState(false);
  const readings = car.readings ?? [];
  const { data, error, isPlaceholderData } = useQuery(queries.learn(readings.length > 0 ? { car } : undefined));
  const keep = (next: readonly Reading[]) => {
    const rest = { ...now().car };
    delete rest.readings;
    changeCar(next.length > 0 ? { ...rest, readings: [...next] } : rest);
  };
  const figure = (r: Reading, value: number | undefined) => {
    if (value === undefined) {
      return '';
    }
    if (r.dash) {
      return show(value, 'temperature');
    }
    return r.pressure ? `${value.toFixed(0)} Pa` : show(value, 'heat');
  };
  return (
    <section aria-label="Readings by hand">
      <Row style={{ justifyContent: 'space-between', marginBottom: 6 }}>
        <Heading>What it shows today</Heading>
        <Button onPress={() => setAdding(true)}>Add a reading…</Button>
      </Row>
      {readings.length === 0 ? (
        <Muted>
          Nothing yet. One look at the dash after a session says more about this car than any table: note what it showed
          at most, with the duty and the design that were driven. Hot oil and coolant stay under pressure: read first,
          open nothing.
        </Muted>
      ) : (
        <>
          <FigureTable aria-label="Readings">
            <thead>
              <tr>
                <th scope="col">Reading</th>
                <th scope="col">Read</th>
                <th scope="col">Expected</th>
                <th scope="col">After learning</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {readings.map((r, i) => (
                <tr key={`${r.name}${i}`}>
                  <th scope="row" style={{ whiteSpace: 'normal' }}>
                    {r.name}
                    {r.day && <Muted>, {r.day}</Muted>}
                  </th>
                  <td>
                    <Figure of="READING">{figure(r, r.dash?.shownC ?? r.pressure?.pa ?? r.makersHeat?.heatKw)}</Figure>
                  </td>
                  <td>
                    <Figure of="READING">{figure(r, data?.readings[i]?.before)}</Figure>
                  </td>
                  <td>
                    <Figure of="READING">{figure(r, data?.readings[i]?.after)}</Figure>
                  </td>
                  <td>
                    <Button aria-label={`Take out ${r.name}`} onPress={() => keep(readings.filter((_, j) => j !== i))}>
                      Take out
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </FigureTable>
          {error && <p role="alert">▲ {error.message}</p>}
          <Row>
            <Button
              isDisabled={!data || isPlaceholderData}
              onPress={() => data && changeCar({ ...now().car, fitted: data.fitted })}
            >
              Use {readings.length === 1 ? 'it' : 'them'} in the car's model
            </Button>
            <Muted>A log that is fitted takes them along.</Muted>
          </Row>
        </>
      )}
      {adding && (
        <AddReading
          onClose={() => setAdding(false)}
          onAdd={(r) => {
            keep([...readings, r]);
            setAdding(false);
          }}
        />
      )}
    </section>
  );
}
