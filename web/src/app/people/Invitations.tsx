import { Refused } from '../../kit/Refused';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import styled from 'styled-components';
import { api, create, read, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { Button, Choice, Heading, Muted, Row } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { useAttempt } from '../../kit/useAttempt';
import { ROLES } from './roles';
import { when } from '../../words/moments';

type Invited = Schemas['InvitationView'];

const Made = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  padding: 14px;
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 4px;
  background: ${(p) => p.theme.sheet};
  & svg {
    /* A phone reads dark on light alone. */
    background: #fff;
    padding: 10px;
    width: 190px;
    height: 190px;
  }
  & > div {
    flex: 1 1 260px;
    min-width: 0;
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  & code {
    overflow-wrap: anywhere;
    font-size: 14px;
  }
`;

/** A phone does not reach this machine by a name that means the phone itself. */
function place(addresses: readonly string[]): string {
  const { hostname, port, origin } = window.location;
  const itself = ['localhost', '127.0.0.1', '[::1]'].includes(hostname);
  const address = addresses.find((a) => !a.startsWith('[')) ?? addresses[0];
  return itself && address ? `https://${address}:${port}` : origin;
}

/** Words that let somebody in: made, shown once as a link that a phone reads, taken back. */
export function Invitations() {
  const client = useQueryClient();
  const open = useQuery(queries.invitations());
  const [role, setRole] = useState<Invited['role']>('BUILDER');
  const [made, setMade] = useState<Invited>();
  const { refused, run: attempt } = useAttempt();
  const again = () => client.invalidateQueries({ queryKey: queries.invitations().queryKey });
  const run = (work: () => Promise<unknown>) => attempt(() => work().then(again));
  const invite = () =>
    run(async () =>
      setMade(await create((header) => api.POST('/api/invitations', { params: { header }, body: { role } }))),
    );
  const takeBack = (id: string) =>
    run(async () => {
      await read(api.DELETE('/api/invitations/{id}', { params: { path: { id } } }));
      setMade((m) => (m?.id === id ? undefined : m));
    });
  const link = made && `${place(made.addresses)}/join#${made.word}`;
  return (
    <section aria-label="Invite">
      <Heading>Invite somebody</Heading>
      <Row style={{ alignItems: 'end' }}>
        <Choice label="As" options={ROLES} value={role} onChange={setRole} />
        <Button onPress={invite}>Make an invitation</Button>
      </Row>
      {made && link && (
        <Made role="group" aria-label="New invitation">
          <QRCodeSVG value={link} title="The invitation, for a phone's camera" marginSize={0} />
          <div>
            <p style={{ margin: 0 }}>
              Lets one {ROLES.find((r) => r.id === made.role)?.name.toLowerCase()} in, until {when(made.expiresAt)}. It
              is shown this once.
            </p>
            <code>{link}</code>
            {made.fingerprint && (
              <>
                <Muted>
                  A phone that comes for the first time warns that it does not know this server. Let it load{' '}
                  <a href="/api/authority.crt">the authority's certificate</a>, compare these figures, and install it:
                </Muted>
                <code style={{ fontSize: 12 }}>{made.fingerprint}</code>
              </>
            )}
          </div>
        </Made>
      )}
      <Refused why={refused} />
      {(open.data ?? []).length > 0 && (
        <Lines aria-label="Invitations that hold">
          {(open.data ?? []).map((i) => (
            <li key={i.id}>
              <span>
                {ROLES.find((r) => r.id === i.role)?.name}, until {when(i.expiresAt)}
              </span>
              <Button onPress={() => takeBack(i.id)}>Take back</Button>
            </li>
          ))}
        </Lines>
      )}
    </section>
  );
}
