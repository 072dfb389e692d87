import { useState } from 'react';
import { useBench } from '../../bench/workbench';
import { DocumentNumbers } from '../../kit/fields';
import { Button, Muted, Pick, Row, TextEntry, Toggle } from '../../kit/kit';
import { Fields, Item } from '../../kit/layout';
import { usePresets } from '../../bench/presets';
import { Bay, Stand } from './bay';
import { POINTING } from '../faces';

/** Starts the drawing of a bay that has not been measured. */
export function BayStart() {
  const { starts } = usePresets();
  const { now, changeCar } = useBench();
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
            changeCar({ ...now().car, bay: start.bay });
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
  const { now, changeCar } = useBench();
  const { stand } = bay;
  const set = (change: Partial<Stand>) => changeCar({ ...now().car, bay: { ...bay, stand: { ...stand, ...change } } });
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

/** What stands round the filter, by clock angle and distance: it decides where a port may point and a wrench may swing. */
export function NeighbourEditor({ bay }: { bay: Bay }) {
  const { now, changeCar } = useBench();
  const { starts } = usePresets();
  const { neighbours } = bay.stand;
  const put = (next: Stand['neighbours']) =>
    changeCar({ ...now().car, bay: { ...bay, stand: { ...bay.stand, neighbours: next } } });
  const left = starts.neighbours.filter((n) => !neighbours.some((has) => has.name === n.name));
  return (
    <>
      <Muted>
        Clock angles as seen from the engine along the filter; 0° is forward where the filter points up or down, else
        up. Distance is from the filter's axis to the nearest face.
      </Muted>
      {neighbours.map((n, i) => {
        const set = (change: Partial<typeof n>) => put(neighbours.map((x, k) => (k === i ? { ...x, ...change } : x)));
        return (
          <Item key={i} aria-label={n.name}>
            <Fields>
              <TextEntry label="Neighbour" longest={60} value={n.name} onChange={(name) => set({ name })} />
              <DocumentNumbers
                schema="NeighbourDocument"
                value={n}
                fields={[
                  ['Begins at', 'fromDeg', { suffix: '°' }],
                  ['Ends at', 'toDeg', { suffix: '°' }],
                  ['Distance', 'distanceMm'],
                ]}
                onChange={set}
              />
            </Fields>
            <Button aria-label={`Remove ${n.name}`} onPress={() => put(neighbours.filter((_, k) => k !== i))}>
              Remove
            </Button>
          </Item>
        );
      })}
      <Row>
        {left.map((n) => (
          <Button key={n.name} isDisabled={neighbours.length >= 12} onPress={() => put([...neighbours, n])}>
            Add {n.name}
          </Button>
        ))}
      </Row>
    </>
  );
}
