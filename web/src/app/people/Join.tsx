import { Refused } from '../../kit/Refused';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { api, read } from '../../api/client';
import { lengths } from '../../api/descriptions';
import { useMe } from '../../bench/me';
import { Button, FormField, Muted, Row } from '../../kit/kit';
import { useAttempt } from '../../kit/useAttempt';
import { useEnter } from './enter';
import { Page } from '../Page';

/** Comes in for the first time: the word is in the link, or is typed. */
export function Join() {
  const { hash } = useLocation();
  const navigate = useNavigate();
  const me = useMe();
  const [code, setCode] = useState(decodeURIComponent(hash.slice(1)));
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const enterAs = useEnter();
  const { busy, refused, run } = useAttempt();
  const { min, max } = lengths('JoinRequest', 'password');
  const short =
    password.length < min || password.length > max ? `Password: ${min} to ${max} characters are expected` : undefined;
  const ready = code.trim() !== '' && name.trim() !== '' && !short && !busy;
  const join = () => {
    if (ready) {
      run(async () => {
        await enterAs(read(api.POST('/api/join', { body: { code, name, password } })));
        void navigate('/', { replace: true });
      });
    }
  };
  if (me && !me.together) {
    return (
      <Page title="Join this garage" back>
        <Muted>
          Nobody signs in here: this garage answers this machine alone. ./isotherm run --lan opens it to others.
        </Muted>
      </Page>
    );
  }
  return (
    <Page title="Join this garage">
      <section aria-label="Join">
        <FormField
          label="Invitation, or the code of the terminal"
          value={code}
          onChange={setCode}
          wrong={
            code.trim() === '' ? 'Invitation: the word of a link, or the code of the terminal, is expected' : undefined
          }
        />
        <FormField
          label="Your name"
          value={name}
          onChange={setName}
          fills="username"
          hint="As it is to stand at everything that you write"
          wrong={name.trim() === '' ? 'Your name: a name is expected' : undefined}
          autoFocus
        />
        <FormField
          label="Password"
          value={password}
          onChange={setPassword}
          fills="new-password"
          hint={`At least ${min} characters; a sentence does well`}
          wrong={short}
          onEnter={join}
        />
        <Refused why={refused} />
        <Row>
          <Button onPress={join} isDisabled={!ready}>
            Join
          </Button>
          <Button onPress={() => void navigate('/')}>I have an account</Button>
        </Row>
      </section>
    </Page>
  );
}
