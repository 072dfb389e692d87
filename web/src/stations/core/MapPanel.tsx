import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { PHONE } from '../../kit/narrow';
import { queries } from '../../api/queries';
import { useSettled } from '../../bench/useSettled';
import { useBench } from '../../bench/workbench';
import { Coming, Heading, Pick } from '../../kit/kit';
import { IsothermMap } from '../../pictures/IsothermMap';
import { AXES } from './axes';
import { AxisChoice, AxisId, Docs } from './axesTypes';

const axisOf = ({ id, from, to, count }: AxisChoice) => ({ axis: id, from, to, count });

const Bar = styled.div`
  display: grid;
  grid-template-columns: 1fr auto auto;
  align-items: center;
  gap: 8px;
  & > div {
    min-width: 138px;
  }
  @media ${PHONE} {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    & > :first-child {
      grid-column: 1 / -1;
    }
    & > div {
      min-width: 0;
    }
  }
`;

interface AxisPicksProps {
  /** Names of what may be picked, with blanks between: the same words are the same lists, whatever the design is. */
  readonly offered: string;
  readonly x: AxisId;
  readonly y: AxisId;
  onX(id: AxisId): void;
  onY(id: AxisId): void;
}

function AxisPicks({ offered, x, y, onX, onY }: AxisPicksProps) {
  const names = offered.split(' ');
  const options = AXES.filter((a) => names.includes(a.id)).map((a) => ({ id: a.id, name: a.label }));
  return (
    <Bar>
      <Heading>Peak oil temperature</Heading>
      <div>
        <Pick label="Across" hideLabel value={x} options={options.filter((o) => o.id !== y)} onChange={onX} />
      </div>
      <div>
        <Pick label="Up" hideLabel value={y} options={options.filter((o) => o.id !== x)} onChange={onY} />
      </div>
    </Bar>
  );
}

/** The isotherm map over two variables that the builder picks. */
export function MapPanel({ height }: { height: number }) {
  const { car, duty, design, now, changeCar, changeDuty, changeDesign, outcome, interval, drag } = useBench();
  const docs: Docs = { car, duty, design };
  const possible = AXES.filter((a) => a.get(docs) !== undefined);
  const [xId, setX] = useState<AxisId>('ROWS');
  const [yId, setY] = useState<AxisId>('SEALING_PERCENT');
  const x = possible.find((a) => a.id === xId) ?? (possible[0] as AxisChoice);
  const y = possible.find((a) => a.id === yId && a.id !== x.id) ?? (possible.find((a) => a.id !== x.id) as AxisChoice);
  // Along its own axes the design moves on the map; only other choices make another map.
  const base = useSettled(JSON.stringify(y.set(x.set(docs, x.from), y.from)), 180);
  const map = useQuery(queries.map({ ...(JSON.parse(base) as Docs), x: axisOf(x), y: axisOf(y) }));
  const [shown, setShown] = useState<string>();
  const key = `${x.id}/${y.id}`;
  if (map.data && !map.isPlaceholderData && shown !== key) {
    setShown(key);
  }
  const move = (toX: number, toY: number) => {
    const before = now();
    const next = y.set(x.set(before, toX), toY);
    if (next.car !== before.car) {
      changeCar(next.car);
    }
    if (next.duty !== before.duty) {
      changeDuty(next.duty);
    }
    if (next.design !== before.design) {
      changeDesign(next.design);
    }
  };
  return (
    <>
      <AxisPicks offered={possible.map((a) => a.id).join(' ')} x={x.id} y={y.id} onX={setX} onY={setY} />
      {map.data && outcome && shown === key ? (
        <IsothermMap
          map={map.data}
          x={{ ...x, value: x.get(docs) ?? x.from }}
          y={{ ...y, value: y.get(docs) ?? y.from }}
          car={car}
          interval={interval}
          peakC={outcome.figures.peakC}
          height={height}
          onMove={move}
          onDrag={drag}
        />
      ) : (
        <Coming height={height} idle={map.error !== null}>
          {map.error ? `No map: ${map.error.message}` : 'Drawing the map…'}
        </Coming>
      )}
    </>
  );
}
