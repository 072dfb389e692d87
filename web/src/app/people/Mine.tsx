import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ApiError, read } from '../../api/client';
import { lengths } from '../../api/descriptions';
import { queries } from '../../api/queries';
import { Button, Fold, FormField, Heading, Muted, Row } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { moment } from './roles';

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
  const [problem, setProblem] = useState<string>();
  const end = async (name: string) => {
    setProblem(undefined);
    try {
      await read(api.DELETE('/api/me/sessions/{name}', { params: { path: { name } } }));
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    }
    await client.invalidateQueries({ queryKey: queries.mySessions().queryKey });
  };
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
              <Muted>last seen {moment(s.seen)}</Muted>
            </span>
            {!s.here && <Button onPress={() => void end(s.id)}>End it</Button>}
          </li>
        ))}
      </Lines>
      {problem && (
        <p role="alert" style={{ margin: 0 }}>
          ▲ {problem}
        </p>
      )}
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
  const [told, setTold] = useState<string>();
  const { min, max } = lengths('NewPassword', 'fresh');
  const short =
    fresh.length < min || fresh.length > max ? `New password: ${min} to ${max} characters are expected` : undefined;
  const change = async () => {
    try {
      await read(api.POST('/api/me/password', { body: { current, fresh } }));
      setCurrent('');
      setFresh('');
      setTold('Changed. Every other browser has to sign in again.');
      await client.invalidateQueries({ queryKey: queries.mySessions().queryKey });
    } catch (e) {
      setTold(`▲ ${e instanceof ApiError ? (e.problems[0]?.message ?? e.message) : String(e)}`);
    }
  };
  return (
    <div style={{ display: 'flex', flexDirection: 'column', gap: 10, maxWidth: 400 }}>
      <FormField label="Password until now" value={current} onChange={setCurrent} fills="current-password" />
      <FormField label="New password" value={fresh} onChange={setFresh} fills="new-password" wrong={short} />
      {told && (
        <p role="status" style={{ margin: 0 }}>
          {told}
        </p>
      )}
      <Row>
        <Button onPress={() => void change()} isDisabled={current === '' || short !== undefined}>
          Change it
        </Button>
      </Row>
    </div>
  );
}
