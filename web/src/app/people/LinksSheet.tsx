import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, create, read, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { Button, Choice, Muted, Row, Sheet } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { day } from './roles';

const DAYS = [
  { id: '7', name: 'A week' },
  { id: '30', name: 'A month' },
  { id: '365', name: 'A year' },
] as const;

/** Hands a car to somebody without an account: a link to be read, which runs out and can be taken back. */
export function LinksSheet({ car, onClose }: { car: { id: string; name: string }; onClose: () => void }) {
  const client = useQueryClient();
  const links = useQuery(queries.links(car.id));
  const [days, setDays] = useState<(typeof DAYS)[number]['id']>('30');
  const [made, setMade] = useState<Schemas['LinkView']>();
  const [problem, setProblem] = useState<string>();
  const run = (work: () => Promise<unknown>) => {
    setProblem(undefined);
    work()
      .then(() => client.invalidateQueries({ queryKey: queries.links(car.id).queryKey }))
      .catch((e: unknown) => setProblem(e instanceof Error ? e.message : String(e)));
  };
  const make = () =>
    run(async () =>
      setMade(
        await create((header) =>
          api.POST('/api/cars/{carId}/links', {
            params: { path: { carId: car.id }, header },
            body: { days: Number(days) },
          }),
        ),
      ),
    );
  const takeBack = (id: string) =>
    run(() => read(api.DELETE('/api/cars/{carId}/links/{id}', { params: { path: { carId: car.id, id } } })));
  return (
    <Sheet title={`Hand over “${car.name}”`} onClose={onClose}>
      <Muted>
        Whoever has the link reads this car’s builds with their papers and pictures and what is due, without an account.
        Nothing can be changed by it, and no other car is seen.
      </Muted>
      <Row style={{ alignItems: 'end' }}>
        <Choice label="Holds for" options={DAYS} value={days} onChange={setDays} />
        <Button onPress={make}>Make a link</Button>
      </Row>
      {made && (
        <p role="status" style={{ margin: 0, overflowWrap: 'anywhere' }}>
          Shown this once: <code>{`${window.location.origin}/shared#${made.word}`}</code>
        </p>
      )}
      {problem && (
        <p role="alert" style={{ margin: 0 }}>
          ▲ {problem}
        </p>
      )}
      {(links.data ?? []).length > 0 && (
        <Lines aria-label="Links that hold">
          {(links.data ?? []).map((l) => (
            <li key={l.id}>
              <span>
                Made {day(l.madeAt)}, until {day(l.expiresAt)}
              </span>
              <Button onPress={() => takeBack(l.id)}>Take back</Button>
            </li>
          ))}
        </Lines>
      )}
      <Row>
        <Button onPress={onClose}>Done</Button>
      </Row>
    </Sheet>
  );
}
