import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, read, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useMay, useMe } from '../../bench/me';
import { AskSure, Button, Heading, Muted, Pick, Row } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { signOut } from './enter';
import { Invitations } from './Invitations';
import { Mine } from './Mine';
import { Page } from './Page';
import { ROLES, day } from './roles';

type Somebody = Schemas['PersonView'];

/** Who is let into this garage, and what each may do. */
export function People() {
  const me = useMe();
  const owner = useMay('OWNER');
  const people = useQuery(queries.people());
  const client = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const [leaving, setLeaving] = useState<Somebody>();
  if (me && !me.together) {
    return (
      <Page title="People" back>
        <Muted>
          Nobody signs in here: this garage answers this machine alone, and whoever sits at it may do everything. With
          ./isotherm run --lan it is opened to other people and to phones, over TLS and with accounts.
        </Muted>
      </Page>
    );
  }
  const changed = () => client.invalidateQueries({ queryKey: ['people'] });
  const become = async (who: Somebody, role: Somebody['role']) => {
    setProblem(undefined);
    try {
      await read(api.PUT('/api/people/{id}/role', { params: { path: { id: who.id ?? '' } }, body: { role } }));
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    }
    await Promise.all([changed(), client.invalidateQueries({ queryKey: queries.me().queryKey })]);
  };
  const here = (people.data ?? []).filter((p) => !p.left);
  const gone = (people.data ?? []).filter((p) => p.left);
  return (
    <Page title="People" wide back>
      <section aria-label="Who is here">
        <Muted>
          An owner lets people in and changes what holds for the whole garage; a builder changes cars and writes on run
          sheets; a viewer reads, asks and tries, and changes nothing that is kept.
        </Muted>
        <Lines>
          {here.map((p) => (
            <li key={p.id}>
              <span>
                <b>{p.name}</b>
                {p.id === me?.person?.id && ' (you)'}
                <br />
                <Muted>{p.since && `since ${day(p.since)}`}</Muted>
              </span>
              {owner ? (
                <Row role="group" aria-label={p.name} style={{ alignItems: 'end' }}>
                  <Pick
                    label="Role"
                    value={p.role}
                    options={ROLES}
                    onChange={(role) => void become(p, role as Somebody['role'])}
                  />
                  <Button onPress={() => setLeaving(p)} aria-label={`Let ${p.name} go…`}>
                    Let go…
                  </Button>
                </Row>
              ) : (
                <span>{ROLES.find((r) => r.id === p.role)?.name}</span>
              )}
            </li>
          ))}
        </Lines>
        {problem && (
          <p role="alert" style={{ margin: 0 }}>
            ▲ {problem}
          </p>
        )}
        {gone.length > 0 && <Muted>Were here, and what they wrote stays: {gone.map((p) => p.name).join(', ')}.</Muted>}
      </section>
      {owner && <Invitations />}
      <Mine />
      <section aria-label="Sign out">
        <Heading>Sign out</Heading>
        <Muted>
          The next one to use this browser sees nothing of what was looked at here. What waits to be sent stays.
        </Muted>
        <Row>
          <Button onPress={() => void signOut(client).then(() => navigate('/'))}>Sign out</Button>
        </Row>
      </section>
      {leaving && (
        <AskSure
          title={`Let ${leaving.name} go`}
          text={`${leaving.name} is out at once, in every browser. What ${leaving.name} wrote stays under that name.`}
          action="Let go"
          onClose={() => setLeaving(undefined)}
          onSure={async () => {
            await read(api.DELETE('/api/people/{id}', { params: { path: { id: leaving.id ?? '' } } }));
            await changed();
          }}
        />
      )}
    </Page>
  );
}
