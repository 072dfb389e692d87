import { Refused } from '../../kit/Refused';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, read, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { useMay, useMe } from '../../bench/me';
import { AskSure, Button, Heading, Muted, Pick, Row } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { useAttempt } from '../../kit/useAttempt';
import { signOut } from './enter';
import { Invitations } from './Invitations';
import { Mine } from './Mine';
import { LIST, Page } from '../Page';
import { ROLES } from './roles';
import { dayOf } from '../../words/moments';

type Somebody = Schemas['PersonView'];

/** Who is let into this garage, and what each may do. */
export function People() {
  const me = useMe();
  const owner = useMay('OWNER');
  const people = useQuery(queries.people());
  const client = useQueryClient();
  const { refused, run } = useAttempt();
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
  const become = (who: Somebody, role: Somebody['role']) =>
    run(async () => {
      await read(api.PUT('/api/people/{id}/role', { params: { path: { id: who.id ?? '' } }, body: { role } }));
      await Promise.all([changed(), client.invalidateQueries({ queryKey: queries.me().queryKey })]);
    });
  const here = (people.data ?? []).filter((p) => !p.left);
  const gone = (people.data ?? []).filter((p) => p.left);
  return (
    <Page title="People" widest={LIST} back>
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
                <Muted>{p.since && `since ${dayOf(p.since)}`}</Muted>
              </span>
              {owner ? (
                <Row role="group" aria-label={p.name} style={{ alignItems: 'end' }}>
                  <Pick
                    label="Role"
                    value={p.role}
                    options={ROLES}
                    onChange={(role) => become(p, role as Somebody['role'])}
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
        <Refused why={refused} />
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
          <Button onPress={() => run(signOut)}>Sign out</Button>
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
