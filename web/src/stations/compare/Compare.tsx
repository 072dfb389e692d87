import { loopLossBar } from '../loopLoss';
import { useQueries } from '@tanstack/react-query';
import styled from 'styled-components';
import type { OutcomeDocument } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { useGo } from '../../bench/useGo';
import { useBench } from '../../bench/workbench';
import { Button, Coming, Fold, Heading, Muted, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import type { Quantity } from '../../units/units';
import { differing, type Difference } from './differing';
import { Figure, type FigureKind } from '../figure/Figure';
import { DutyTable } from './DutyTable';

const Page = styled.section`
  padding: 16px 20px 24px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  & .wide {
    overflow-x: auto;
  }
  & .ruled {
    min-width: 190px;
    width: 30%;
  }
  & td,
  & thead th {
    min-width: 96px;
    white-space: normal;
    vertical-align: top;
  }
`;

interface Compared {
  readonly name: string;
  readonly kind: FigureKind;
  readonly quantity?: Quantity;
  readonly digits?: number;
  readonly suffix?: string;
  of(o: OutcomeDocument): number | undefined;
}

/** What a builder weighs against each other, in the order of the thermal rule, then what it costs. */
const FIGURES: readonly Compared[] = [
  { name: 'Peak of the oil', kind: 'PEAK', quantity: 'temperature', of: (o) => o.figures.peakC },
  { name: 'Plateau', kind: 'PLATEAU', quantity: 'temperature', of: (o) => o.figures.plateauC },
  { name: 'Highest coolant', kind: 'PEAK_COOLANT', quantity: 'temperature', of: (o) => o.figures.peakCoolantC },
  { name: 'Minutes above the limit', kind: 'PEAK', digits: 1, of: (o) => o.figures.aboveLimitSeconds / 60 },
  { name: 'Oil film at the peak', kind: 'FILM', suffix: 'cSt', digits: 1, of: (o) => o.figures.viscosityAtPeakCst },
  { name: 'Oil on a cold road', kind: 'ROAD_OIL', quantity: 'temperature', of: (o) => o.road.oilC },
  {
    name: 'Minutes to where it may be loaded',
    kind: 'WARM_UP',
    digits: 1,
    of: (o) => (o.road.to65Seconds === undefined ? undefined : o.road.to65Seconds / 60),
  },
  {
    name: 'Gallery pressure at the end',
    kind: 'GALLERY_PRESSURE',
    quantity: 'pressure',
    of: (o) => o.circuit.galleryBar,
  },
  {
    name: 'Loss in the loop, maximum engine speed',
    kind: 'LOOP_LOSS',
    quantity: 'pressure',
    of: (o) => loopLossBar(o.circuit.points),
  },
  { name: 'Added oil', kind: 'ADDED_OIL', quantity: 'volume', of: (o) => o.circuit.addedOilL },
  { name: 'Heat of the core at the end', kind: 'CORE_HEAT', quantity: 'heat', of: (o) => o.core?.heatKw },
  { name: 'Mass of the core', kind: 'MASS', quantity: 'mass', digits: 1, of: (o) => o.core?.massKg },
];

const OUTCOMES_HIGH = 300;

/** All designs of a car side by side: what differs, then what comes of it. */
export function Compare() {
  const { view, car, duty, design, designId, ghost } = useBench();
  const { say, show } = usePreferences();
  const go = useGo();
  const designs = view.designs.map((d) => ({ id: d.id, design: d.id === designId ? design : d.design }));
  const ids = designs.map((d) => d.id);
  const outcomes = useQueries({
    queries: designs.map((d) => queries.outcome({ car, duty, design: d.design })),
  });
  const figure = (f: Compared, o: OutcomeDocument | undefined) => {
    const v = o && f.of(o);
    if (v === undefined) {
      return '–';
    }
    return f.quantity ? show(v, f.quantity, f.digits) : `${v.toFixed(f.digits ?? 0)}${f.suffix ? ` ${f.suffix}` : ''}`;
  };
  const all = differing(designs.map((d) => d.design));
  // Velocity heads and equivalent elbows are the plumbing's own affair: they are there for who asks.
  const differences = all.filter((d) => !inner(d.path));
  const inside = all.filter((d) => inner(d.path));
  // Rows come once it is known which of them differ.
  const waits = outcomes.some((o) => o.isPending);
  const told = waits
    ? []
    : FIGURES.map((f) => ({ f, values: outcomes.map((o) => (o.error ? 'no outcome' : figure(f, o.data))) }));
  const differ = told.filter(({ values }) => new Set(values).size > 1);
  const alike = told.filter(({ values }) => new Set(values).size === 1);
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }}>
        <Heading>Designs of this car</Heading>
        <Button onPress={() => go({ station: 'core' })}>Back to the core</Button>
      </Row>
      <DutyTable />
      <Heading>What differs, under “{duty.name}”</Heading>
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
              <Differing key={row.path} row={row} ids={ids} />
            ))}
            {differences.length === 0 && (
              <tr>
                <th scope="row">Nothing differs</th>
                <td colSpan={designs.length} />
              </tr>
            )}
          </tbody>
          <tbody>
            {waits && (
              <tr>
                <td colSpan={designs.length + 1}>
                  <Coming height={OUTCOMES_HIGH}>Driving each design…</Coming>
                </td>
              </tr>
            )}
            {differ.map((t) => (
              <Outcome key={t.f.name} {...t} ids={ids} chosen={designId} />
            ))}
            {!waits && (
              <tr>
                <th scope="row">First finding</th>
                {outcomes.map((o, i) => (
                  <td key={designs[i]?.id}>{o.data?.findings[0] ? say(o.data.findings[0].what) : '–'}</td>
                ))}
              </tr>
            )}
          </tbody>
        </FigureTable>
      </div>
      <Muted>Estimates. What differs comes first; what is the same in all designs is folded away.</Muted>
      {alike.length > 0 && (
        <Fold name="The same in all designs" short={`${alike.length}`}>
          <FigureTable aria-label="The same in all designs">
            <tbody>
              {alike.map((t) => (
                <Outcome key={t.f.name} {...t} ids={ids} chosen={designId} />
              ))}
            </tbody>
          </FigureTable>
        </Fold>
      )}
      {inside.length > 0 && (
        <Fold name="Inside the plumbing" short={`${inside.length} differences`}>
          <FigureTable aria-label="Inside the plumbing">
            <tbody>
              {inside.map((row) => (
                <Differing key={row.path} row={row} ids={ids} />
              ))}
            </tbody>
          </FigureTable>
        </Fold>
      )}
    </Page>
  );
}

/** Fields of hoses, plate and plumbing that follow from the parts that were chosen. */
function inner(path: string): boolean {
  return /^(cooler\/(feed|back|detail|plateHeads|extraVolumeL|ductHeads)|plumbing)(\/|$)/.test(path);
}

/** A choice in which designs differ. */
function Differing({ row, ids }: { row: Difference; ids: readonly string[] }) {
  const { show } = usePreferences();
  return (
    <tr>
      <th scope="row">{row.label}</th>
      {row.values.map((v, i) => (
        <td key={ids[i]}>
          {typeof v === 'number' ? <Figure of="READING">{shown(v, row, show)}</Figure> : shown(v, row, show)}
        </td>
      ))}
    </tr>
  );
}

function Outcome(props: { f: Compared; values: readonly string[]; ids: readonly string[]; chosen: string }) {
  const { f, values, ids, chosen } = props;
  return (
    <tr>
      <th scope="row">{f.name}</th>
      {values.map((v, i) => (
        <td key={ids[i]}>
          <Figure of={f.kind} other={ids[i] !== chosen}>
            {v}
          </Figure>
        </td>
      ))}
    </tr>
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
