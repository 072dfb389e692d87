import { Refused } from '../../kit/Refused';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, create, read, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { Button, Choice, Muted, Row, Sheet } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { useAttempt } from '../../kit/useAttempt';
import { dayOf } from '../../words/moments';

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
  const { refused, run: attempt } = useAttempt();
  const run = (work: () => Promise<unknown>) =>
    attempt(async () => {
      await work();
      await client.invalidateQueries({ queryKey: queries.links(car.id).queryKey });
    });
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
        Whoever has the link reads this car's builds with their papers and pictures and what is due, without an account.
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
      <Refused why={refused} />
      {(links.data ?? []).length > 0 && (
        <Lines aria-label="Links that hold">
          {(links.data ?? []).map((l) => (
            <li key={l.id}>
              <span>
                Made {dayOf(l.madeAt)}, until {dayOf(l.expiresAt)}
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
