import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { queries } from '../../api/queries';
import { useBench } from '../../bench/workbench';
import { Coming, Heading, Muted, Row, Toggle } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { usePreferences } from '../../preferences/preferences';
import { IntervalRuler, rulerEnds } from '../../pictures/IntervalRuler';
import { percent } from '../../words/odds';
import { Figure } from '../figure/Figure';
import { Effort } from './Effort';

/** Each design in each duty that counts, its worst marked; the choice is judged by all of them. */
export function DutyTable() {
  const { view, car, duty, dutyId, design, designId } = useBench();
  const { show } = usePreferences();
  const [left, setLeft] = useState<readonly string[]>([]);
  const duties = view.duties.map((d) => ({ id: d.id, duty: d.id === dutyId ? duty : d.duty }));
  const designs = view.designs.map((d) => ({ id: d.id, design: d.id === designId ? design : d.design }));
  const counted = duties.filter((d) => !left.includes(d.id));
  const { data, error, isPlaceholderData } = useQuery(
    queries.duties(
      counted.length > 0
        ? { car, designs: designs.map((d) => d.design), duties: counted.map((d) => d.duty) }
        : undefined,
    ),
  );
  const [from, to] = rulerEnds(car.limits, data?.rows.flatMap((r) => r.cells.flatMap((c) => [c.lowC, c.highC])) ?? []);
  const best = data && designs[data.best];
  const holds = data?.rows[data.best]?.holds;
  return (
    <section aria-label="Designs against all duties" aria-busy={isPlaceholderData}>
      <Heading>Designs against all duties</Heading>
      {duties.length > 1 && (
        <Row style={{ flexWrap: 'wrap' }}>
          {duties.map((d) => (
            <Toggle
              key={d.id}
              label={d.duty.name}
              value={!left.includes(d.id)}
              onChange={(on) => setLeft(on ? left.filter((id) => id !== d.id) : [...left, d.id])}
            />
          ))}
        </Row>
      )}
      {counted.length === 0 && <Muted>Tick at least one duty.</Muted>}
      {error && <p role="alert">▲ {error.message}</p>}
      {!error && counted.length > 0 && (!data || isPlaceholderData) && (
        <Coming height={96 + designs.length * 46}>Driving each design through them…</Coming>
      )}
      {data && !isPlaceholderData && (
        <>
          <div className="wide">
            <FigureTable aria-label="Designs against duties">
              <thead>
                <tr>
                  <th scope="col">Design</th>
                  {counted.map((d) => (
                    <th key={d.id} scope="col">
                      {d.duty.name}
                    </th>
                  ))}
                  <th scope="col">In all of them</th>
                  <th scope="col">Parts</th>
                  <th scope="col">Hours</th>
                  <th scope="col">Mass</th>
                  <th scope="col">Added oil</th>
                </tr>
              </thead>
              <tbody>
                {designs.map((d, i) => {
                  const row = data.rows[i];
                  return (
                    <tr key={d.id} aria-current={i === data.best}>
                      <th scope="row">{d.design.name}</th>
                      {row?.cells.map((c, j) => (
                        <td key={counted[j]?.id ?? j} className="ruled">
                          <IntervalRuler
                            limits={car.limits}
                            peakC={c.peakC}
                            lowC={c.lowC}
                            highC={c.highC}
                            from={from}
                            to={to}
                          />
                          {row.worst === j && counted.length > 1 ? <b>▼ </b> : null}
                          <Figure of="PEAK" other={d.id !== designId || counted[j]?.id !== dutyId}>
                            {show(c.peakC, 'temperature')}
                          </Figure>
                          ,{' '}
                          <Figure of="ODDS" other>
                            {percent(c.oddsInBand)}
                          </Figure>
                        </td>
                      ))}
                      <td>{row?.holds ? '✓ holds' : 'not sure enough'}</td>
                      <Effort design={d.design} price={row?.price} />
                    </tr>
                  );
                })}
              </tbody>
            </FigureTable>
          </div>
          <Muted>
            One ruler from {show(from, 'temperature')} to {show(to, 'temperature')}: the peak with the interval that
            holds it 8 times in 10, the target band dashed, the limit as a bar. Below it the most likely peak and the
            odds that it stays under {show(car.limits.targetHighC, 'temperature')}
            {counted.length > 1 && "; ▼ marks a design's worst duty"}. “{best?.design.name}” is most likely to hold
            {counted.length > 1 && ' in its own worst'}
            {holds ? '' : ', though not as surely as you want'}.
          </Muted>
        </>
      )}
    </section>
  );
}
