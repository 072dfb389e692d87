import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useBench } from '../../bench/workbench';
import { DocumentNumbers } from '../../kit/fields';
import { Button, Muted, Pick, Row, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePresets } from '../../bench/presets';

type Bay = Schemas['BayDocument'];
type Stand = Schemas['StandDocument'];

const KINDS: readonly { readonly id: Schemas['BoxDocument']['kind']; readonly name: string }[] = [
  { id: 'SOLID', name: 'Solid: block, gearbox' },
  { id: 'HOT', name: 'Hot: exhaust, turbine' },
  { id: 'MOVING', name: 'Moving: belts, steering' },
  { id: 'WHEEL', name: 'Wheel, full lock and bump' },
  { id: 'SHARP', name: 'Sharp: edges, brackets' },
  { id: 'PANEL', name: 'Panel, may have holes' },
  { id: 'SOFT', name: 'Soft: air box, tanks' },
];

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

/** The bay's sides, boxes and holes by tape. */
export function BayEditor({ bay, onMark }: { bay: Bay; onMark: (name: string | undefined) => void }) {
  const { car, changeCar } = useBench();
  const [which, setWhich] = useState('boxes/0');
  const set = (change: Partial<Bay>) => changeCar({ ...car, bay: { ...bay, ...change } });
  const [list, number] = which.split('/');
  const index = Number(number);
  const box = list === 'boxes' ? bay.boxes[index] : undefined;
  const hole = list === 'holes' ? bay.holes[index] : undefined;
  const options = [
    ...bay.boxes.map((b, i) => ({ id: `boxes/${i}`, name: b.name })),
    ...bay.holes.map((h, i) => ({ id: `holes/${i}`, name: `Hole: ${h.name}` })),
  ];
  const setBox = (change: Partial<Schemas['BoxDocument']>) =>
    set({ boxes: bay.boxes.map((b, i) => (i === index ? { ...b, ...change } : b)) });
  const setHole = (change: Partial<Schemas['HoleDocument']>) =>
    set({ holes: bay.holes.map((h, i) => (i === index ? { ...h, ...change } : h)) });
  const mark = (id: string) => {
    setWhich(id);
    const [l, n] = id.split('/');
    onMark(l === 'boxes' ? bay.boxes[Number(n)]?.name : undefined);
  };
  const panels = bay.boxes.filter((b) => b.kind === 'PANEL').map((b) => ({ id: b.name, name: b.name }));
  return (
    <>
      <Fields>
        <DocumentNumbers
          schema="BayDocument"
          value={bay}
          fields={[
            ['Left side', 'leftMm'],
            ['Right side', 'rightMm'],
            ['Nothing below', 'groundMm'],
            ['Bonnet', 'topMm'],
            ['Front', 'frontMm'],
            ['Rear', 'rearMm'],
          ]}
          onChange={set}
        />
      </Fields>
      <Pick
        label="Box or hole"
        value={options.some((o) => o.id === which) ? which : 'none'}
        options={options.some((o) => o.id === which) ? options : [{ id: 'none', name: 'Choose one' }, ...options]}
        onChange={mark}
      />
      {box && (
        <Fields>
          <TextEntry label="Name" longest={60} value={box.name} onChange={(name) => setBox({ name })} />
          <Pick label="Kind" value={box.kind} options={KINDS} onChange={(kind) => setBox({ kind })} />
          <DocumentNumbers
            schema="BoxDocument"
            value={box}
            fields={[
              ['Left edge', 'leftMm'],
              ['Lower edge', 'bottomMm'],
              ['Front behind skin', 'frontMm'],
              ['Width', 'widthMm'],
              ['Height', 'heightMm'],
              ['Depth', 'depthMm'],
            ]}
            onChange={setBox}
          />
        </Fields>
      )}
      {hole && (
        <Fields>
          <TextEntry label="Name" longest={60} value={hole.name} onChange={(name) => setHole({ name })} />
          <Pick label="Through" value={hole.panel} options={panels} onChange={(panel) => setHole({ panel })} />
          <DocumentNumbers
            schema="HoleDocument"
            value={hole}
            fields={[
              ['Middle across', 'xMm'],
              ['Middle up', 'yMm'],
              ['Middle back', 'zMm'],
              ['Diameter', 'diameterMm', { step: 1 }],
            ]}
            onChange={setHole}
          />
          <Pick
            label="Leads"
            value={hole.axis}
            options={[
              { id: 'ALONG', name: 'along the car' },
              { id: 'ACROSS', name: 'across the car' },
              { id: 'UP', name: 'upwards' },
            ]}
            onChange={(axis) => setHole({ axis })}
          />
        </Fields>
      )}
      <Row>
        <Button
          isDisabled={bay.boxes.length >= 60}
          onPress={() => {
            set({
              boxes: [
                ...bay.boxes,
                {
                  name: `box ${bay.boxes.length + 1}`,
                  kind: 'SOFT',
                  leftMm: -100,
                  bottomMm: Math.round(bay.topMm - 250),
                  frontMm: Math.round((bay.frontMm + bay.rearMm) / 2),
                  widthMm: 200,
                  heightMm: 150,
                  depthMm: 150,
                },
              ],
            });
            setWhich(`boxes/${bay.boxes.length}`);
          }}
        >
          One box more
        </Button>
        <Button
          isDisabled={bay.holes.length >= 20 || panels.length === 0}
          onPress={() => {
            const panel = bay.boxes.find((b) => b.kind === 'PANEL');
            if (panel) {
              set({
                holes: [
                  ...bay.holes,
                  {
                    name: `hole ${bay.holes.length + 1}`,
                    panel: panel.name,
                    xMm: Math.round(panel.leftMm + panel.widthMm / 2),
                    yMm: Math.round(panel.bottomMm + panel.heightMm / 2),
                    zMm: Math.round(panel.frontMm + panel.depthMm / 2),
                    axis: 'ALONG',
                    diameterMm: 45,
                  },
                ],
              });
              setWhich(`holes/${bay.holes.length}`);
            }
          }}
        >
          One hole more
        </Button>
        {(box || hole) && (
          <Button
            onPress={() => {
              if (box) {
                set({
                  boxes: bay.boxes.filter((_, i) => i !== index),
                  holes: bay.holes.filter((h) => h.panel !== box.name),
                });
              } else {
                set({ holes: bay.holes.filter((_, i) => i !== index) });
              }
              setWhich('boxes/0');
            }}
          >
            Remove
          </Button>
        )}
      </Row>
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
      <Pick
        label="Filter points"
        value={stand.points}
        options={[
          { id: 'DOWN', name: 'down' },
          { id: 'UP', name: 'up' },
          { id: 'FORWARD', name: 'to the front' },
          { id: 'REARWARD', name: 'to the rear' },
          { id: 'LEFT', name: 'to the left' },
          { id: 'RIGHT', name: 'to the right' },
        ]}
        onChange={(points) => set({ points })}
      />
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
