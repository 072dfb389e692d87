import { loopLossBar } from '../loopLoss';
import { useQueries } from '@tanstack/react-query';
import styled from 'styled-components';
import type { OutcomeDocument } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { useGo } from '../../bench/useGo';
import { useBench } from '../../bench/workbench';
import { Button, Heading, Muted, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import type { Quantity } from '../../units/units';
import { differing, type Difference } from './differing';
import { DutyTable } from './DutyTable';

const Page = styled.section`
  padding: 16px 20px 24px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  & .wide {
    overflow-x: auto;
  }
  & td,
  & thead th {
    min-width: 120px;
    white-space: normal;
    vertical-align: top;
  }
`;

interface Figure {
  readonly name: string;
  readonly quantity?: Quantity;
  readonly digits?: number;
  readonly suffix?: string;
  of(o: OutcomeDocument): number | undefined;
}

/** What a builder weighs against each other, in the order of the thermal rule, then what it costs. */
const FIGURES: readonly Figure[] = [
  { name: 'Peak of the oil', quantity: 'temperature', of: (o) => o.figures.peakC },
  { name: 'Plateau', quantity: 'temperature', of: (o) => o.figures.plateauC },
  { name: 'Highest coolant', quantity: 'temperature', of: (o) => o.figures.peakCoolantC },
  { name: 'Minutes above the limit', digits: 1, of: (o) => o.figures.aboveLimitSeconds / 60 },
  { name: 'Oil film at the peak', suffix: 'cSt', digits: 1, of: (o) => o.figures.viscosityAtPeakCst },
  { name: 'Oil on a cold road', quantity: 'temperature', of: (o) => o.road.oilC },
  {
    name: 'Minutes to where it may be loaded',
    digits: 1,
    of: (o) => (o.road.to65Seconds === undefined ? undefined : o.road.to65Seconds / 60),
  },
  { name: 'Gallery pressure at the end', quantity: 'pressure', of: (o) => o.circuit.galleryBar },
  {
    name: 'Loss in the loop, maximum engine speed',
    quantity: 'pressure',
    of: (o) => loopLossBar(o.circuit.points),
  },
  { name: 'Added oil', quantity: 'volume', of: (o) => o.circuit.addedOilL },
  { name: 'Heat of the core at the end', quantity: 'heat', of: (o) => o.core?.heatKw },
  { name: 'Mass of the core', quantity: 'mass', digits: 1, of: (o) => o.core?.massKg },
];

/** All designs of a car side by side: what differs, then what comes of it. */
export function Compare() {
  const { view, car, duty, design, designId, ghost } = useBench();
  const { say, show } = usePreferences();
  const go = useGo();
  const designs = view.designs.map((d) => ({ id: d.id, design: d.id === designId ? design : d.design }));
  const outcomes = useQueries({
    queries: designs.map((d) => queries.outcome({ car, duty, design: d.design })),
  });
  const differences = differing(designs.map((d) => d.design));
  const figure = (f: Figure, o: OutcomeDocument | undefined) => {
    const v = o && f.of(o);
    if (v === undefined) {
      return '–';
    }
    return f.quantity ? show(v, f.quantity, f.digits) : `${v.toFixed(f.digits ?? 0)}${f.suffix ? ` ${f.suffix}` : ''}`;
  };
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }}>
        <Heading>Designs of this car, under “{duty.name}”</Heading>
        <Button onPress={() => go({ station: 'core' })}>Back to the core</Button>
      </Row>
      <div className="wide">
        <FigureTable aria-label="Designs compared">
          <thead>
            <tr>
              <td />
              {designs.map((d) => (
                <th key={d.id} scope="col" aria-current={d.id === designId}>
                  <b>{d.design.name}</b>
                  <Row style={{ justifyContent: 'flex-end', marginTop: 4 }}>
                    {d.id === designId ? (
                      <Muted>chosen</Muted>
                    ) : (
                      <>
                        <Button aria-label={`Choose ${d.design.name}`} onPress={() => go({ design: d.id })}>
                          Choose
                        </Button>
                        <Button
                          aria-label={`Show ${d.design.name} on the rule`}
                          aria-pressed={ghost?.name === d.design.name}
                          onPress={() => go({ against: ghost?.name === d.design.name ? undefined : d.id })}
                        >
                          {ghost?.name === d.design.name ? 'Off the rule' : 'On the rule'}
                        </Button>
                      </>
                    )}
                  </Row>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {differences.map((row) => (
              <tr key={row.path}>
                <th scope="row">{row.label}</th>
                {row.values.map((v, i) => (
                  <td key={designs[i]?.id}>{shown(v, row, show)}</td>
                ))}
              </tr>
            ))}
            {differences.length === 0 && (
              <tr>
                <th scope="row">Nothing differs</th>
                <td colSpan={designs.length} />
              </tr>
            )}
          </tbody>
          <tbody>
            {FIGURES.map((f) => (
              <tr key={f.name}>
                <th scope="row">{f.name}</th>
                {outcomes.map((o, i) => (
                  <td key={designs[i]?.id}>{o.error ? 'no outcome' : figure(f, o.data)}</td>
                ))}
              </tr>
            ))}
            <tr>
              <th scope="row">First finding</th>
              {outcomes.map((o, i) => (
                <td key={designs[i]?.id}>{o.data?.findings[0] ? say(o.data.findings[0].what) : '–'}</td>
              ))}
            </tr>
          </tbody>
        </FigureTable>
      </div>
      <Muted>Estimates. What is the same in all designs is left out.</Muted>
      <DutyTable />
    </Page>
  );
}

function shown(
  value: unknown,
  row: Difference,
  show: (base: number, quantity: Quantity, digits?: number) => string,
): string {
  if (value === undefined) {
    return '–';
  }
  if (typeof value === 'number') {
    return row.quantity
      ? show(value, row.quantity, row.digits)
      : `${Math.round(value * 1000) / 1000}${row.suffix ? ` ${row.suffix}` : ''}`;
  }
  if (typeof value === 'boolean') {
    return value ? 'yes' : 'no';
  }
  return typeof value === 'string' ? value.toLowerCase().replaceAll('_', ' ') : JSON.stringify(value);
}
