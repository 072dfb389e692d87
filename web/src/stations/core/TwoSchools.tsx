import { formatTime } from '../../units/units';
import { useQuery } from '@tanstack/react-query';
import { queries } from '../../api/queries';
import { useMemo, useState } from 'react';
import { usePresets } from '../../bench/presets';
import { usePreferences } from '../../preferences/preferences';
import { useSeen, useSettled } from '../../bench/useSettled';
import { useBench } from '../../bench/workbench';
import { Button, Coming, Heading, QuantityField, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { useMoney } from '../../bench/useMoney';
import { Search } from './Search';
import { Candidate } from './candidates';
import { Figure, type FigureKind } from '../figure/Figure';

const TABLE_HIGH = 330;

/** What the two schools of sizing would do with this design, and what each of them costs. */
export function TwoSchools() {
  const money = useMoney();
  const { car, duty, design, now, changeDesign } = useBench();
  const { show } = usePreferences();
  const { usual } = usePresets();
  const room = useRoom();
  const [largestWidthMm, setWidth] = useState(room.widthMm);
  const [largestHeightMm, setHeight] = useState(room.heightMm);
  const [section, seen] = useSeen<HTMLElement>();
  const asked = useSettled(
    useMemo(
      () => ({ car, duty, design, largestWidthMm, largestHeightMm }),
      [car, duty, design, largestWidthMm, largestHeightMm],
    ),
    300,
  );
  const schools = useQuery({ ...queries.schools(asked), enabled: seen });
  const columns = schools.data && [
    { name: 'As it is', c: schools.data.present },
    { name: 'Smallest that holds', c: schools.data.smallestThatHolds },
    { name: 'Largest that fits', c: schools.data.largestThatFits },
  ];
  const row = (name: string, text: (c: Candidate) => string, of?: FigureKind) => (
    <tr>
      <th scope="row">{name}</th>
      {columns?.map((col) => (
        <td key={col.name}>
          {col.c ? (
            of ? (
              <Figure of={of} other={col.name !== 'As it is'}>
                {text(col.c)}
              </Figure>
            ) : (
              text(col.c)
            )
          ) : (
            '–'
          )}
        </td>
      ))}
    </tr>
  );
  return (
    <section aria-label="Sizes" ref={section}>
      <Row style={{ justifyContent: 'space-between' }}>
        <Heading>Smallest that holds, largest that fits</Heading>
      </Row>
      <Row>
        <div style={{ width: 160 }}>
          <QuantityField
            label="Room across"
            quantity="length"
            value={largestWidthMm}
            step={10}
            min={100}
            max={1500}
            onChange={setWidth}
          />
        </div>
        <div style={{ width: 160 }}>
          <QuantityField
            label="Room upwards"
            quantity="length"
            value={largestHeightMm}
            step={10}
            min={30}
            max={1000}
            onChange={setHeight}
          />
        </div>
      </Row>
      {schools.error && <p role="alert">▲ {schools.error.message}</p>}
      {!columns && !schools.error && (
        <Coming height={TABLE_HIGH} idle={!seen}>
          Looking through the cores to buy…
        </Coming>
      )}
      {columns && (
        <FigureTable aria-label="Smallest and largest">
          <thead>
            <tr>
              <td />
              {columns.map((col) => (
                <th key={col.name} scope="col">
                  {col.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {row(
              'Core',
              (c) => (c.design.cooler ? `${c.design.cooler.rows} × ${show(c.design.cooler.widthMm, 'length')}` : '–'),
              'SIZE',
            )}
            {row('Part', (c) => (c.maker ? `${c.maker} ${c.number}` : '–'))}
            {row('Peak', (c) => show(c.peakC, 'temperature'), 'PEAK')}
            {row('Loss in the loop at maximum engine speed', (c) => show(c.loopLossBar, 'pressure'), 'LOOP_LOSS')}
            {row(
              `To ${show(usual.warmC, 'temperature')} on a cold road`,
              (c) => (c.to65Seconds === undefined ? 'never' : formatTime(c.to65Seconds)),
              'WARM_UP',
            )}
            {row('Coolant hotter by', (c) => show(c.coolantRiseK, 'temperatureDifference', 1), 'PEAK_COOLANT')}
            {row('Mass with its oil', (c) => show(c.massKg, 'mass', 1), 'MASS')}
            {row('Price', (c) => (c.price === undefined ? '–' : money(c.price)), 'PRICE')}
            <tr>
              <td />
              {columns.map((col, i) => (
                <td key={col.name}>
                  {i > 0 && col.c && (
                    <Button
                      aria-label={`Take: ${col.name}`}
                      onPress={() => col.c && changeDesign({ ...col.c.design, name: now().design.name })}
                    >
                      Take it
                    </Button>
                  )}
                </td>
              ))}
            </tr>
          </tbody>
        </FigureTable>
      )}
      <Search widthMm={largestWidthMm} heightMm={largestHeightMm} />
    </section>
  );
}

/** Room for a core: the opening that is largest in the nose, where that is measured. */
function useRoom(): { widthMm: number; heightMm: number } {
  const { car } = useBench();
  const opening = [...(car.nose?.openings ?? [])].sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm)[0];
  return { widthMm: Math.min(opening?.widthMm ?? 420, 700), heightMm: Math.max(opening?.heightMm ?? 220, 120) };
}
