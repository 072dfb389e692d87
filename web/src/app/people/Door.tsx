import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Dialog, Modal, ModalOverlay } from 'react-aria-components';
import { Outlet, useLocation } from 'react-router';
import styled from 'styled-components';
import { SIGNED_OUT } from '../../api/client';
import { queries } from '../../api/queries';
import { keepMe } from '../../api/lastMe';
import { forgetKept } from './enter';
import { SignIn } from './SignIn';

/** Pages that somebody without an account may open. */
const OPEN = ['/join', '/shared'];

const Over = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  overflow: auto;
  background: ${(p) => p.theme.paper};
  z-index: 200;
  & [role='dialog'] {
    outline: 0;
  }
`;

/**
 * Nobody passes who has to sign in and has not. The page that was wanted opens behind it; when a session ends under
 * somebody's hands their page stays as it is, out of sight, with what was typed and not yet entered.
 */
export function Door() {
  const { pathname } = useLocation();
  const client = useQueryClient();
  const asked = useQuery(queries.me());
  useEffect(() => {
    const out = () => void client.invalidateQueries({ queryKey: queries.me().queryKey });
    window.addEventListener(SIGNED_OUT, out);
    return () => window.removeEventListener(SIGNED_OUT, out);
  }, [client]);
  useEffect(() => {
    if (asked.data) {
      keepMe(asked.data);
      if (asked.data.together && !asked.data.person) {
        // A phone that was let go keeps nothing to be looked at.
        void forgetKept();
      }
    }
  }, [asked.data]);
  // Without a connection whoever was here last goes on: what they write is asked for again when it is sent.
  const me = asked.data;
  const out = me?.together === true && !me.person && !OPEN.includes(pathname);
  // Whose pages are open: another one's begin anew.
  const [open, setOpen] = useState<string>();
  const whose = me && (me.person?.id ?? (me.together ? undefined : 'alone'));
  if (whose !== undefined && whose !== open) {
    setOpen(whose);
  }
  if (!me && !asked.error) {
    return <p className="opening">Isotherm</p>;
  }
  if (out && open === undefined) {
    return <SignIn ownerless={me.ownerless} />;
  }
  return (
    <>
      <Outlet key={open ?? 'nobody'} />
      {out && (
        <Over isOpen>
          <Modal>
            <Dialog aria-label="Sign in to this garage">
              <SignIn ownerless={me.ownerless} {...(open !== undefined && { last: open })} />
            </Dialog>
          </Modal>
        </Over>
      )}
    </>
  );
}
