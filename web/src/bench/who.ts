import { useState } from 'react';
import { newId } from '../api/client';

const WHO = 'isotherm.who';

/** The name of whoever uses this browser: every entry in a book carries one. */
export function useWho(): readonly [string, (name: string) => void] {
  const [who, setWho] = useState(() => localStorage.getItem(WHO) ?? '');
  return [
    who,
    (name) => {
      localStorage.setItem(WHO, name.trim());
      setWho(name.trim());
    },
  ];
}

/** What every entry begins with: its identity, when, and who. */
export function signed(who: string): { id: string; at: string; who: string } {
  return { id: newId(), at: new Date().toISOString(), who };
}
