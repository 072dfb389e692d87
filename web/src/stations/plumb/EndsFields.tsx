import type { Schemas } from '../../api/client';
import { DocumentNumbers } from '../../kit/fields';
import { Button, Fold, Muted, Pick } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePresets } from '../../bench/presets';
import { POINTING } from '../faces';
import type { Plumbing } from './usePlumbing';

type Ends = Schemas['EndsDocument'];

const PORTS: readonly (readonly [keyof Ends, string])[] = [
  ['gives', 'Takeoff, to the core'],
  ['in', 'Core inlet'],
  ['out', 'Core outlet'],
  ['takes', 'Takeoff, from the core'],
];

/** Where the four ports are and which way they point. */
export function EndsFields({ ends, onChange }: { ends: Plumbing['ends']; onChange: (ends: Ends) => void }) {
  const { starts } = usePresets();
  if (!ends) {
    return (
      <>
        <Muted>
          Four ports by tape: across from the car's middle, up from the ground, back from the foremost skin, and which
          way each points. The shortest way between them is looked for, with the elbows that it takes.
        </Muted>
        <Button onPress={() => onChange(starts.ends)}>Put in the four ports</Button>
      </>
    );
  }
  return (
    <div>
      {PORTS.map(([port, name]) => {
        const at = ends[port];
        const set = (change: Partial<typeof at>) => onChange({ ...ends, [port]: { ...at, ...change } });
        return (
          <Fold key={port} name={name} short={POINTING.find((p) => p.id === at.points)?.name ?? ''} open>
            <Fields>
              <DocumentNumbers
                schema="EndDocument"
                value={at}
                fields={[
                  [`${name}, across`, 'xMm'],
                  [`${name}, up`, 'yMm'],
                  [`${name}, back`, 'zMm'],
                ]}
                onChange={set}
              />
              <Pick
                label={`${name}, points`}
                value={at.points}
                options={POINTING}
                onChange={(points) => set({ points })}
              />
            </Fields>
          </Fold>
        );
      })}
    </div>
  );
}
