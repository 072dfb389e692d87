import { useState } from 'react';

const WHO = 'isotherm.who';

/** Who works at this browser: every entry in a book carries a name. */
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

/** A random UUID; the browser's own is only there over HTTPS and on loopback, and a tablet at the car may have neither. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** What every entry begins with: its identity, when, and who. */
export function signed(who: string): { id: string; at: string; who: string } {
  return { id: newId(), at: new Date().toISOString(), who };
}
