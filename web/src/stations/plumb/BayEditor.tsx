import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useBench } from '../../bench/workbench';
import { DocumentNumbers } from '../../kit/fields';
import { Button, Pick, Row, TextEntry } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { Bay } from './bay';

const KINDS: readonly { readonly id: Schemas['BoxDocument']['kind']; readonly name: string }[] = [
  { id: 'SOLID', name: 'Solid: block, gearbox' },
  { id: 'HOT', name: 'Hot: exhaust, turbine' },
  { id: 'MOVING', name: 'Moving: belts, steering' },
  { id: 'WHEEL', name: 'Wheel, full lock and bump' },
  { id: 'SHARP', name: 'Sharp: edges, brackets' },
  { id: 'PANEL', name: 'Panel, may have holes' },
  { id: 'SOFT', name: 'Soft: air box, tanks' },
];

/** The bay's sides, boxes and holes by tape. */
export function BayEditor(props: { bay: Bay; marked: string | undefined; onMark: (name: string | undefined) => void }) {
  const { bay, marked, onMark } = props;
  const { now, changeCar } = useBench();
  const [chosen, setWhich] = useState('boxes/0');
  // What is pressed in a picture is what the tape is at.
  const pressed = bay.boxes.findIndex((b) => b.name === marked);
  const which = pressed >= 0 ? `boxes/${pressed}` : chosen;
  const set = (change: Partial<Bay>) => changeCar({ ...now().car, bay: { ...bay, ...change } });
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
