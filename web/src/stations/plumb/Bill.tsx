import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useBench } from '../../bench/workbench';
import { Button, Fold, Muted, Row, Toggle } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { usePreferences } from '../../preferences/preferences';
import { quantityOf } from '../../words/words';
import { download } from '../../bench/download';
import type { Plumbed } from './usePlumbing';
import { useMoney } from '../../bench/useMoney';
import { Figure } from '../figure/Figure';

/** Hose and oil are sold in halves of a metre and of a litre. */
const SOLD_DIGITS = 1;

const GROUPS: Record<Schemas['Bill']['group'], string> = { PARTS: 'Parts', CONSUMABLES: 'Used up', TOOLS: 'Tools' };

/** Everything to buy, with what is there already struck off. */
export function Bill(props: { plumbed: Plumbed; have: readonly string[]; onHave: (have: string[]) => void }) {
  const { plumbed, have, onHave } = props;
  const { car, duty, design } = useBench();
  const money = useMoney();
  const { say, show, paper } = usePreferences();
  const [problem, setProblem] = useState<string>();
  const lines = plumbed.bill.map((b) => ({ ...b, have: have.includes(b.key) }));
  const toBuy = lines.filter((b) => !b.have).reduce((sum, b) => sum + b.quantity * b.each, 0);
  const file = (name: string) =>
    download(`/api/plumb/${name}${paper}`, { car, duty, design }, name).then(
      () => setProblem(undefined),
      (e: Error) => setProblem(e.message),
    );
  return (
    <Fold name="Bill of materials" short={`${money(toBuy)} to buy`}>
      <Row>
        <Button onPress={() => void file('bill.csv')}>Bill as CSV</Button>
        <Button onPress={() => void file('bill.pdf')}>Bill as PDF</Button>
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      <FigureTable aria-label="Bill of materials">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Quantity</th>
            <th scope="col">Price</th>
            <th scope="col">There already</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((b) => (
            <tr key={`${b.group}${b.key}${b.what.key}`} style={b.have ? { textDecoration: 'line-through' } : undefined}>
              <th scope="row">
                {GROUPS[b.group]}: {say(b.what)}
                {b.number && `, ${b.number}`}
              </th>
              <td>
                <Figure of="PIECES">
                  {b.measure ? show(b.quantity, quantityOf(b.measure), SOLD_DIGITS) : `${b.quantity} pcs`}
                </Figure>
              </td>
              <td>
                <Figure of="PRICE">{b.each > 0 ? money(b.quantity * b.each, 2) : '–'}</Figure>
              </td>
              <td>
                <Toggle
                  label="have"
                  value={b.have}
                  onChange={(on) => onHave(on ? [...have, b.key] : have.filter((k) => k !== b.key))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
      <Muted>
        Loose parts {money(plumbed.kit.loosePrice)} and about {plumbed.kit.looseHours.toFixed(0)} hours; a kit made to
        fit about {money(plumbed.kit.kitPrice)} and {plumbed.kit.kitHours.toFixed(0)} hours. Both are estimates; makers
        and prices that ship with Isotherm are invented.
      </Muted>
    </Fold>
  );
}
