import { usePreferences } from '../../preferences/preferences';
import { useState } from 'react';
import { useBench } from '../../bench/workbench';
import { DocumentNumber } from '../../kit/fields';
import { Button, Heading, Muted, Row } from '../../kit/kit';
import { Profile } from '../../pictures/Profile';
import { lapNodes, moveLapNode, moveSlopeNode, removeLapNode, setLength, slopeNodes, splitStretch } from './lap';

/** The duty as a picture that can be edited, for those kinds that have a shape. */
export function DriveEditor() {
  const { show } = usePreferences();
  const { duty, now, changeDuty } = useBench();
  const [selected, setSelected] = useState(0);
  if (duty.track) {
    const track = duty.track;
    const stretches = track.stretches;
    const nodes = lapNodes(stretches);
    const at = Math.min(selected, nodes.length - 1);
    const stretch = stretches[at % stretches.length];
    const set = (next: typeof stretches) => changeDuty({ ...now().duty, track: { ...track, stretches: next } });
    return (
      <>
        <Row style={{ justifyContent: 'space-between' }}>
          <Heading>The lap</Heading>
          <Muted>
            {(nodes[nodes.length - 1]?.x ?? 0) / 1000 < 10
              ? show((nodes[nodes.length - 1]?.x ?? 0) / 1000, 'travel', 2)
              : ''}
          </Muted>
        </Row>
        <Profile
          label="Speed over the lap"
          nodes={nodes}
          x={{ quantity: 'distance', label: 'Along the lap', step: 5 }}
          y={{ quantity: 'speed', label: 'Speed', step: 1 }}
          yFrom={0}
          selected={at}
          onSelect={setSelected}
          onMove={(node, x, y) => set(moveLapNode(stretches, node, x, y))}
          height={190}
        />
        {stretch && (
          <Row style={{ alignItems: 'end' }}>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label={`Speed at point ${(at % stretches.length) + 1}`}
                schema="StretchDocument"
                field="entryKmh"
                quantity="speed"
                value={nodes[at]?.y ?? 0}
                step={1}
                onChange={(v) => set(moveLapNode(stretches, at, nodes[at]?.x ?? 0, v))}
              />
            </div>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label="Length from there"
                schema="StretchDocument"
                field="lengthM"
                quantity="distance"
                value={stretch.lengthM}
                step={5}
                onChange={(v) => set(setLength(stretches, at % stretches.length, v))}
              />
            </div>
            <Button onPress={() => set(splitStretch(stretches, at % stretches.length))}>Add point</Button>
            <Button
              aria-label="Remove this point"
              isDisabled={stretches.length < 2}
              onPress={() => set(removeLapNode(stretches, at))}
            >
              Remove
            </Button>
          </Row>
        )}
      </>
    );
  }
  if (duty.climb) {
    const climb = duty.climb;
    const slopes = climb.slopes;
    const nodes = slopeNodes(slopes);
    const at = Math.max(1, Math.min(selected, nodes.length - 1));
    const slope = slopes[at - 1];
    const set = (next: typeof slopes) => changeDuty({ ...now().duty, climb: { ...climb, slopes: next } });
    const change = (part: Partial<NonNullable<typeof slope>>) =>
      set(slopes.map((s, i) => (i === at - 1 ? { ...s, ...part } : s)));
    return (
      <>
        <Heading>The climb</Heading>
        <Profile
          label="Height over the climb"
          nodes={nodes}
          x={{ quantity: 'distance', label: 'Along the road', step: 10 }}
          y={{ quantity: 'distance', label: 'Height', step: 1 }}
          selected={at}
          onSelect={setSelected}
          onMove={(node, x, y) => set(moveSlopeNode(slopes, node, x, y))}
          height={190}
        />
        {slope && (
          <Row style={{ alignItems: 'end' }}>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label={`Length of slope ${at}`}
                schema="SlopeDocument"
                field="lengthM"
                quantity="distance"
                value={slope.lengthM}
                step={50}
                onChange={(lengthM) => change({ lengthM })}
              />
            </div>
            <div style={{ width: 150 }}>
              <DocumentNumber
                label={`Grade of slope ${at}`}
                schema="SlopeDocument"
                field="gradePercent"
                suffix="%"
                value={slope.gradePercent}
                step={0.5}
                onChange={(gradePercent) => change({ gradePercent })}
              />
            </div>
            <Button
              onPress={() =>
                set(
                  slopes.flatMap((s, i) =>
                    i === at - 1
                      ? [
                          { ...s, lengthM: s.lengthM / 2 },
                          { ...s, lengthM: s.lengthM / 2 },
                        ]
                      : [s],
                  ),
                )
              }
            >
              Add point
            </Button>
            <Button
              aria-label="Take this slope out"
              isDisabled={slopes.length < 2}
              onPress={() => set(slopes.filter((_, i) => i !== at - 1))}
            >
              Remove
            </Button>
          </Row>
        )}
      </>
    );
  }
  return null;
}
