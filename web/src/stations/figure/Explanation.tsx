import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useGo } from '../../bench/useGo';
import { useBenchIfAny } from '../../bench/workbench';
import { Button, Heading, Muted, Row, Sheet } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { usePreferences } from '../../preferences/preferences';
import type { Quantity } from '../../units/units';
import { quantityOf, signed, word } from '../../words/words';
import type { FigureKind } from './Figure';
import { seek } from './givens';

const Text = styled.dl`
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 6px 14px;
  margin: 0;
  & dt {
    color: ${(p) => p.theme.soft};
  }
  & dd {
    margin: 0;
  }
`;

/** What a figure is, by which equation and source, its interval, and what moves it most. */
export function Explanation(props: { of: FigureKind; shown: ReactNode; other: boolean; onClose: () => void }) {
  const { of, shown, other, onClose } = props;
  const bench = useBenchIfAny();
  // What moves a figure is told where it comes out of a session of the case at hand.
  const computed = useQuery(queries.presets()).data?.usual.computed ?? [];
  const comes = computed.includes(of);
  return (
    <Sheet title={word('figure', of)} onClose={onClose} widest="640px">
      <p style={{ margin: 0 }}>{word('figure', of, 'what')}</p>
      <Text>
        <dt>Shown</dt>
        <dd>
          <b>{shown}</b>
          {comes && other && <Muted> for another case than the one at hand</Muted>}
        </dd>
        <dt>Equation</dt>
        <dd>{word('figure', of, 'equation')}</dd>
        <dt>Source</dt>
        <dd>{word('figure', of, 'source')}</dd>
      </Text>
      {comes && !other && bench && <Computed of={of} onClose={onClose} />}
      <Row>
        <Button onPress={onClose}>Close</Button>
      </Row>
    </Sheet>
  );
}

/** The figure of the case at hand: its interval, and each input by what a step of it changes. */
function Computed({ of, onClose }: { of: FigureKind; onClose: () => void }) {
  const { say, show } = usePreferences();
  const go = useGo();
  const bench = useBenchIfAny();
  const { data, error } = useQuery(
    queries.explain(bench && { car: bench.car, duty: bench.duty, design: bench.design, figure: of }),
  );
  if (error) {
    return <p role="alert">▲ {error.message}</p>;
  }
  if (!data || !bench) {
    return <Muted>Working…</Muted>;
  }
  if (data.value === undefined || data.low === undefined || data.high === undefined) {
    return <Muted>This design does not have it.</Muted>;
  }
  const quantity = quantityOf(data.measure);
  const [low, high] = shownInterval(of, bench.interval) ?? [data.low, data.high];
  const fine = digitsOf(quantity, high - low);
  const reach = (m: Schemas['MoveDocument']) => {
    onClose();
    go({ station: m.station.toLowerCase() });
    seek(m.given);
  };
  return (
    <>
      <p style={{ margin: 0 }}>
        {high - low < Math.abs(data.value) * 1e-4 ? (
          'It follows from what was entered; it has no interval of its own.'
        ) : (
          <>
            8 times in 10 it lies between <b>{show(low, quantity, fine)}</b> and <b>{show(high, quantity, fine)}</b>,
            for what is not known of this car yet.
          </>
        )}
      </p>
      <section aria-label="What moves it">
        <Heading as="h3">What moves it, the strongest first</Heading>
        <FigureTable aria-label="Inputs">
          <thead>
            <tr>
              <th scope="col">Input</th>
              <th scope="col">Moved by</th>
              <th scope="col">Changes it by</th>
            </tr>
          </thead>
          <tbody>
            {data.moves.map((m) => (
              <tr key={m.given}>
                <th scope="row">
                  <Button onPress={() => reach(m)}>{word('given', m.given)}</Button>
                </th>
                <td>{say(m.step)}</td>
                <td>{changed(m.change, quantity, show)}</td>
              </tr>
            ))}
          </tbody>
        </FigureTable>
        <Muted>A press goes to where it is entered or chosen.</Muted>
      </section>
    </>
  );
}

/** Peak and plateau have their interval on the rule: there is one of it. */
function shownInterval(of: FigureKind, interval: Schemas['Interval'] | undefined) {
  if (of === 'PEAK' && interval) {
    return [interval.peakLowC, interval.peakHighC] as const;
  }
  return of === 'PLATEAU' && interval ? ([interval.plateauLowC, interval.plateauHighC] as const) : undefined;
}

/** As many decimals as the width of the interval is worth. */
function digitsOf(quantity: Quantity, width: number): number | undefined {
  return quantity === 'temperature' ? 0 : width < 0.2 ? 2 : width < 2 ? 1 : undefined;
}

function changed(
  by: number,
  quantity: Quantity,
  show: (base: number, quantity: Quantity, digits?: number) => string,
): string {
  const difference = quantity === 'temperature' ? 'temperatureDifference' : quantity;
  const digits = Math.abs(by) < 0.1 ? 3 : Math.abs(by) < 1 ? 2 : 1;
  return signed(by, show(Math.abs(by), difference, digits));
}
