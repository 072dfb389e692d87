import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { amend } from '../api/amend';
import { api, basedOn, read } from '../api/client';
import { queries } from '../api/queries';
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
  airFlow: 'Air flow in',
};

/** Every currency that this browser knows by its three letters. */
const CALLED = new Intl.DisplayNames('en', { type: 'currency' });
const CURRENCIES = Intl.supportedValuesOf('currency').map((id) => ({ id, name: `${id}, ${CALLED.of(id) ?? ''}` }));
const NO_CURRENCY = { id: 'none', name: 'none' };

/** The garage's currency: everybody who opens this garage sees prices in it. */
function CurrencyPick() {
  const client = useQueryClient();
  const settings = useQuery(queries.settings());
  const [problem, setProblem] = useState<string>();
  const choose = async (id: string) => {
    setProblem(undefined);
    try {
      const version = settings.data?.version;
      const body = id === NO_CURRENCY.id ? {} : { currency: id };
      const header = version === undefined ? {} : basedOn(version);
      const kept = await read(api.PUT('/api/settings', { params: { header }, body }));
      await amend(client, queries.settings().queryKey, () => kept);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
      await client.invalidateQueries(queries.settings());
    }
  };
  return (
    <>
      <Pick
        label="Prices in"
        value={settings.data?.settings.currency ?? NO_CURRENCY.id}
        options={[NO_CURRENCY, ...CURRENCIES]}
        onChange={(id) => void choose(id)}
      />
      {problem && <p role="alert">▲ The currency was not saved: {problem}</p>}
    </>
  );
}

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
    <Sheet title="Units and currency" onClose={onClose} widest="640px">
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
      <Muted>The currency is that of the whole garage. Prices are not converted.</Muted>
      <Grid>
        <CurrencyPick />
      </Grid>
      <Row>
        <Button onPress={() => all(0)}>All metric</Button>
        <Button onPress={() => all(1)}>All imperial</Button>
        <Button onPress={onClose}>Done</Button>
      </Row>
    </Sheet>
  );
}
