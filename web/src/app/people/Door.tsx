import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Outlet, useLocation } from 'react-router';
import { SIGNED_OUT } from '../../api/client';
import { queries } from '../../api/queries';
import { keepMe } from '../../api/lastMe';
import { forgetKept } from './enter';
import { SignIn } from './SignIn';

/** Pages that somebody without an account may open. */
const OPEN = ['/join', '/shared'];

/** Nobody passes who has to sign in and has not. The page that was wanted opens behind it. */
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
  if (!me && !asked.error) {
    return <p className="opening">Isotherm</p>;
  }
  if (me?.together && !me.person && !OPEN.includes(pathname)) {
    return <SignIn ownerless={me.ownerless} />;
  }
  return <Outlet />;
}
