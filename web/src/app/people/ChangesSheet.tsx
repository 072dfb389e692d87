import { useQuery } from '@tanstack/react-query';
import { queries } from '../../api/queries';
import { Button, Muted, Row, Sheet } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { when } from '../../words/moments';

const KINDS = { CAR: 'Car', DUTY: 'Duty', DESIGN: 'Design', LOG: 'Log', BUILD: 'Build' } as const;

/** Who changed what of a car last. */
export function ChangesSheet({ car, onClose }: { car: { id: string; name: string }; onClose: () => void }) {
  const changes = useQuery(queries.changes(car.id));
  return (
    <Sheet title={`Last changes of “${car.name}”`} onClose={onClose}>
      {changes.error && <p role="alert">▲ {changes.error.message}</p>}
      <Lines aria-label="Last changes">
        {(changes.data ?? []).map((c) => (
          <li key={c.id}>
            <span>
              {KINDS[c.kind]} “{c.name}”
            </span>
            <Muted>
              {c.by ?? 'At this machine'}, {when(c.at)}
            </Muted>
          </li>
        ))}
      </Lines>
      <Muted>What is written on run sheets and in care books carries its own name and time there.</Muted>
      <Row>
        <Button onPress={onClose}>Done</Button>
      </Row>
    </Sheet>
  );
}
