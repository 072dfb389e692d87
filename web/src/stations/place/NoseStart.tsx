import { useState } from 'react';
import { usePresets } from '../../bench/presets';
import { useBench } from '../../bench/workbench';
import { Button, Pick, Row } from '../../kit/kit';

/** Starts the drawing of a nose that has not been measured: its openings alone, or all that stands behind them. */
export function NoseStart() {
  const { starts } = usePresets();
  const { now, changeCar } = useBench();
  const [layout, setLayout] = useState('hatch');
  const from = starts.noses.find((l) => l.id === layout)?.nose;
  return (
    <>
      <Pick label="Body" value={layout} options={starts.noses} onChange={setLayout} />
      <Row>
        <Button onPress={() => from && changeCar({ ...now().car, nose: { ...from, parts: [] } })}>
          Only its openings
        </Button>
        <Button onPress={() => from && changeCar({ ...now().car, nose: from })}>Draw the nose</Button>
      </Row>
    </>
  );
}
