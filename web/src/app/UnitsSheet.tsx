import styled from 'styled-components';
import { Button, Muted, Pick, Row, Sheet } from '../kit/kit';
import { quantities, type Quantity } from '../units/units';
import { usePreferences } from '../preferences/preferences';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
`;

/** Temperature differences follow the temperatures. */
const NAMES: Partial<Record<Quantity, string>> = {
  temperature: 'Temperatures in',
  length: 'Lengths in',
  distance: 'Distances in',
  speed: 'Road speeds in',
  airSpeed: 'Air speeds in',
  power: 'Power in',
  heat: 'Heat in',
  pressure: 'Pressures in',
  volume: 'Volumes in',
  mass: 'Masses in',
  travel: 'Odometer in',
  flow: 'Oil flow in',
  torque: 'Torques in',
  area: 'Areas in',
};

/** Units, quantity by quantity, at any time. */
export function UnitsSheet({ onClose }: { onClose: () => void }) {
  const { units, setUnit } = usePreferences();
  const set = (q: Quantity, choice: 0 | 1) => {
    setUnit(q, choice);
    if (q === 'temperature') {
      setUnit('temperatureDifference', choice);
      setUnit('temperatureRate', choice);
    }
  };
  const all = (choice: 0 | 1) => (Object.keys(quantities) as Quantity[]).forEach((q) => set(q, choice));
  return (
    <Sheet title="Units" onClose={onClose} widest="640px">
      <Muted>Every field takes either unit, typed with its sign: 185F, 1/2in, 30psi.</Muted>
      <Grid>
        {(Object.entries(NAMES) as [Quantity, string][]).map(([q, name]) => (
          <Pick
            key={q}
            label={name}
            value={String(units[q])}
            options={quantities[q].map((u, i) => ({ id: String(i), name: u.symbol }))}
            onChange={(v) => set(q, v === '1' ? 1 : 0)}
          />
        ))}
      </Grid>
      <Row>
        <Button onPress={() => all(0)}>All metric</Button>
        <Button onPress={() => all(1)}>All imperial</Button>
        <Button onPress={onClose}>Done</Button>
      </Row>
    </Sheet>
  );
}
