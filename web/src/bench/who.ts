import { useState } from 'react';
import { newId } from '../api/client';
import { useMe } from './me';

const WHO = 'isotherm.who';

/** Whose name an entry carries: that of whoever has signed in, or the one that this browser was told. */
interface Who {
  readonly who: string;
  readonly setWho: (name: string) => void;
  /** It is the account's: nobody has to be asked. */
  readonly known: boolean;
}

export function useWho(): Who {
  const account = useMe()?.person;
  const [told, setTold] = useState(() => localStorage.getItem(WHO) ?? '');
  const known = account?.id !== undefined;
  return {
    who: known ? account.name : told,
    setWho: (name) => {
      localStorage.setItem(WHO, name.trim());
      setTold(name.trim());
    },
    known,
  };
}

/** What every entry begins with: its identity, when, and who. */
export function signed(who: string): { id: string; at: string; who: string } {
  return { id: newId(), at: new Date().toISOString(), who };
}
