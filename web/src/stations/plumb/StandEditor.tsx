import { useState } from 'react';
import { useBench } from '../../bench/workbench';
import { DocumentNumbers } from '../../kit/fields';
import { Button, Muted, Pick, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePresets } from '../../bench/presets';
import { Bay, Stand } from './bay';
import { POINTING } from '../faces';

/** Starts the drawing of a bay that has not been measured. */
export function BayStart() {
  const { starts } = usePresets();
  const { car, changeCar } = useBench();
  const [from, setFrom] = useState('across');
  return (
    <>
      <Muted>
        The engine bay is not measured yet. Start from the one that is nearest, then put in what your tape says.
      </Muted>
      <Pick label="Engine bay" value={from} options={starts.bays} onChange={setFrom} />
      <Button
        onPress={() => {
          const start = starts.bays.find((b) => b.id === from);
          if (start) {
            changeCar({ ...car, bay: start.bay });
          }
        }}
      >
        Draw the bay
      </Button>
    </>
  );
}

/** Where the filter sits, by tape and calliper. */
export function StandEditor({ bay }: { bay: Bay }) {
  const { car, changeCar } = useBench();
  const { stand } = bay;
  const set = (change: Partial<Stand>) => changeCar({ ...car, bay: { ...bay, stand: { ...stand, ...change } } });
  return (
    <Fields>
      <TextEntry label="Thread of the stud" longest={20} value={stand.thread} onChange={(thread) => set({ thread })} />
      <Pick label="Filter points" value={stand.points} options={POINTING} onChange={(points) => set({ points })} />
      <DocumentNumbers
        schema="StandDocument"
        value={stand}
        fields={[
          ['Face, inner', 'faceInnerMm', { step: 1 }],
          ['Face, outer', 'faceOuterMm', { step: 1 }],
          ['Thread that stands out', 'studMm', { step: 1 }],
          ['Room from the face', 'roomMm'],
          ['Face across', 'xMm'],
          ['Face up', 'yMm'],
          ['Face back', 'zMm'],
          ['Exchanger on the stud', 'exchangerMm', { step: 1 }],
          ['Filter gasket', 'gasketMm', { step: 1 }],
          ['Filter length', 'filterLengthMm', { step: 1 }],
          ['Filter diameter', 'filterDiameterMm', { step: 1 }],
        ]}
        onChange={set}
      />
      <Toggle
        label="Filter holds its oil"
        value={stand.antiDrainBack}
        onChange={(antiDrainBack) => set({ antiDrainBack })}
      />
      <Toggle label="By-pass in filter" value={stand.bypass} onChange={(bypass) => set({ bypass })} />
      <Toggle
        label="By-pass in engine"
        value={stand.bypassInEngine}
        onChange={(bypassInEngine) => set({ bypassInEngine })}
      />
    </Fields>
  );
}
