import { Refused } from '../../kit/Refused';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, read } from '../../api/client';
import { useAttempt } from '../../kit/useAttempt';
import { lengths } from '../../api/descriptions';
import { queries } from '../../api/queries';
import { Button, Fold, FormField, Heading, Muted, Row } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { when } from '../../words/moments';

/** What of a browser's description of itself a person knows it by. */
function device(agent: string): string {
  const system = /Android|iPhone|iPad|Windows|Macintosh|CrOS|Linux/.exec(agent)?.[0];
  const browser = /Firefox|Edg|Chrome|Safari/.exec(agent)?.[0]?.replace('Edg', 'Edge');
  return [browser ?? 'A program', system && `on ${system === 'Macintosh' ? 'a Mac' : system}`]
    .filter(Boolean)
    .join(' ');
}

/** One's own account: where one has signed in, and the password. */
export function Mine() {
  const client = useQueryClient();
  const sessions = useQuery(queries.mySessions());
  const { refused, run } = useAttempt();
  const end = (name: string) =>
    run(async () => {
      await read(api.DELETE('/api/me/sessions/{name}', { params: { path: { name } } }));
      await client.invalidateQueries({ queryKey: queries.mySessions().queryKey });
    });
  return (
    <section aria-label="My account">
      <Heading>Where I have signed in</Heading>
      <Lines aria-label="Where I have signed in">
        {(sessions.data ?? []).map((s) => (
          <li key={s.id}>
            <span>
              {device(s.device)}
              {s.here && ', this one'}
              <br />
              <Muted>last seen {when(s.seen)}</Muted>
            </span>
            {!s.here && <Button onPress={() => end(s.id)}>End it</Button>}
          </li>
        ))}
      </Lines>
      <Refused why={refused} />
      <Fold name="Another password">
        <Password />
      </Fold>
    </section>
  );
}

function Password() {
  const client = useQueryClient();
  const [current, setCurrent] = useState('');
  const [fresh, setFresh] = useState('');
  const [changed, setChanged] = useState(false);
  const { busy, refused, run } = useAttempt();
  const { min, max } = lengths('NewPassword', 'fresh');
  const short =
    fresh.length < min || fresh.length > max ? `New password: ${min} to ${max} characters are expected` : undefined;
  const change = () =>
    run(async () => {
      setChanged(false);
      await read(api.POST('/api/me/password', { body: { current, fresh } }));
      setCurrent('');
      setFresh('');
      setChanged(true);
      await client.invalidateQueries({ queryKey: queries.mySessions().queryKey });
    });
  return (
    <div style={{ display: 'flex', flexDirection: 'column', gap: 10, maxWidth: 400 }}>
      <FormField label="Password until now" value={current} onChange={setCurrent} fills="current-password" />
      <FormField label="New password" value={fresh} onChange={setFresh} fills="new-password" wrong={short} />
      <Refused why={refused} />
      {changed && (
        <p role="status" style={{ margin: 0 }}>
          Changed. Every other browser has to sign in again.
        </p>
      )}
      <Row>
        <Button onPress={change} isDisabled={busy || current === '' || short !== undefined}>
          Change it
        </Button>
      </Row>
    </div>
  );
}
