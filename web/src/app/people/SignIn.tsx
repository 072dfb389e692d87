import { Refused } from '../../kit/Refused';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, read } from '../../api/client';
import { Button, FormField, Muted, Row } from '../../kit/kit';
import { useAttempt } from '../../kit/useAttempt';
import { useEnter } from './enter';
import { Page } from '../Page';

/** Who is there? The page that was wanted opens when that is known; `last` is whose page is still open behind. */
export function SignIn({ ownerless, last }: { ownerless: boolean; last?: string }) {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const enterAs = useEnter(last);
  const { busy, refused, run } = useAttempt();
  const ready = name.trim() !== '' && password !== '' && !busy;
  const enter = () => {
    if (ready) {
      run(() => enterAs(read(api.POST('/api/sign-in', { body: { name, password } }))));
    }
  };
  return (
    <Page title="Sign in to this garage">
      {ownerless && (
        <section aria-label="The first owner">
          <p style={{ margin: 0 }}>
            Nobody owns this garage yet. The terminal in which it was started shows a code: whoever types it is the
            first owner.
          </p>
          <Row>
            <Button onPress={() => void navigate('/join')}>I have the code</Button>
          </Row>
        </section>
      )}
      <section aria-label="Sign in">
        <FormField label="Name" value={name} onChange={setName} fills="username" autoFocus onEnter={enter} />
        <FormField label="Password" value={password} onChange={setPassword} fills="current-password" onEnter={enter} />
        <Refused why={refused} />
        <Row>
          <Button onPress={enter} isDisabled={!ready}>
            Sign in
          </Button>
          {!ownerless && <Button onPress={() => void navigate('/join')}>I have an invitation</Button>}
        </Row>
        <Muted>
          Entries that wait in this browser stay here, and are sent when their writer has signed in. A lost password: an
          owner lets you go and invites you again; what you wrote stays under your name.
        </Muted>
      </section>
    </Page>
  );
}
