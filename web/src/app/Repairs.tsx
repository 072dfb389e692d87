import { useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { api, create, type CarView, type Schemas } from '../api/client';
import { queries } from '../api/queries';
import { Button, Row, Sheet } from '../kit/kit';
import { BrokenList } from './Broken';

type Cars = Schemas['CarSummary'][];

export const Told = styled.div`
  padding: 10px 20px;
  border-bottom: 2px solid ${(p) => p.theme.ink};
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
`;

/** A page in the place of a car's stations, with the ways to the other cars. */
function InsteadOfStations(props: { cars: Cars; carId: string; children: ReactNode }) {
  const navigate = useNavigate();
  const others = props.cars.filter((c) => c.id !== props.carId);
  return (
    <main style={{ padding: 20, maxWidth: 720, display: 'flex', flexDirection: 'column', gap: 14 }}>
      <h1 style={{ fontSize: 19, margin: 0 }}>Isotherm</h1>
      {props.children}
      <BrokenList carId={props.carId} />
      {others.length > 0 && (
        <section aria-label="Other cars">
          <Row>
            {others.map((c) => (
              <Button key={c.id} onPress={() => void navigate(`/cars/${c.id}/duty`)}>
                Open {c.name}
              </Button>
            ))}
          </Row>
        </section>
      )}
    </main>
  );
}

/** A car that cannot be shown: what is wrong, to be repaired. */
export function CarThatCannotBeShown(props: { cars: Cars; carId: string; message: string; broken: boolean }) {
  return (
    <InsteadOfStations cars={props.cars} carId={props.carId}>
      <p role="alert" style={{ margin: 0 }}>
        {props.broken ? 'This car cannot be used as saved.' : `This car cannot be shown: ${props.message}`}
      </p>
    </InsteadOfStations>
  );
}

/** A car without a duty or a design that can be used: each can be begun here. */
export function CarWithout({ cars, view }: { cars: Cars; view: CarView }) {
  const client = useQueryClient();
  const [problem, setProblem] = useState<string>();
  const add = async (made: () => Promise<unknown>) => {
    try {
      await made();
      await client.invalidateQueries({ queryKey: queries.car(view.id).queryKey });
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    }
  };
  const path = { carId: view.id };
  const duty = async () => {
    // That of the first class, to be changed on the station Duty.
    const [first] = await client.fetchQuery(queries.classes());
    if (first) {
      await create((header) => api.POST('/api/cars/{carId}/duties', { params: { path, header }, body: first.duty }));
    }
  };
  const design = () =>
    create((header) =>
      api.POST('/api/cars/{carId}/designs', {
        params: { path, header },
        body: { name: 'As it is today', keepFactoryExchanger: true },
      }),
    );
  return (
    <InsteadOfStations cars={cars} carId={view.id}>
      <p role="alert" style={{ margin: 0 }}>
        {view.car.name} has {view.duties.length === 0 ? 'no duty' : 'no design'} that can be used.
      </p>
      {problem && <p role="alert">▲ {problem}</p>}
      <Row>
        {view.duties.length === 0 && <Button onPress={() => void add(duty)}>Add duty</Button>}
        {view.designs.length === 0 && <Button onPress={() => void add(design)}>Add design of the car as it is</Button>}
      </Row>
    </InsteadOfStations>
  );
}

/** Some of a car's documents cannot be read: the rest works, and this says where to look. */
export function SomeBroken({ count, carId }: { count: number; carId: string }) {
  const [open, setOpen] = useState(false);
  return (
    <Told role="status">
      ▲ {count === 1 ? 'One document' : `${count} documents`} of this car cannot be used as saved.
      <Button onPress={() => setOpen(true)}>Show what is wrong…</Button>
      {open && (
        <Sheet title="To be repaired" onClose={() => setOpen(false)} widest="680px">
          <BrokenList carId={carId} titled={false} />
          <Row>
            <Button onPress={() => setOpen(false)}>Close</Button>
          </Row>
        </Sheet>
      )}
    </Told>
  );
}
