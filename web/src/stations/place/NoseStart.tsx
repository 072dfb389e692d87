import { useState } from 'react';
import { useBench } from '../../bench/workbench';
import { Button, Muted, Pick } from '../../kit/kit';
import { usePresets } from '../../bench/presets';

/** Starts the drawing of a nose that has not been measured. */
export function NoseStart() {
  const { starts } = usePresets();
  const { car, changeCar } = useBench();
  const [layout, setLayout] = useState('hatch');
  return (
    <>
      <Muted>
        The nose of this car is not measured yet. Start from the body that is nearest, then put in what your tape says.
      </Muted>
      <Pick label="Body" value={layout} options={starts.noses} onChange={setLayout} />
      <Button
        onPress={() => {
          const from = starts.noses.find((l) => l.id === layout);
          if (from) {
            changeCar({ ...car, nose: from.nose });
          }
        }}
      >
        Draw the nose
      </Button>
    </>
  );
}
