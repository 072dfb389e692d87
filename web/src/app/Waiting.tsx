import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { CHANGED, waitingKeys } from '../bench/outbox';
import { PREFIXES, waysOf } from '../bench/senders';
import { useOutbox } from '../bench/useOutbox';

function subscribe(listener: () => void) {
  window.addEventListener(CHANGED, listener);
  window.addEventListener('storage', listener);
  return () => {
    window.removeEventListener(CHANGED, listener);
    window.removeEventListener('storage', listener);
  };
}

/** Sends what waits in this browser wherever one is, and says so while it cannot. */
export function Waiting({ quiet }: { quiet: boolean }) {
  const keys = useSyncExternalStore(subscribe, () => waitingKeys(PREFIXES));
  return keys
    .split(' ')
    .filter(Boolean)
    .map((key) => <OneBox key={key} name={key} quiet={quiet} />);
}

function OneBox({ name, quiet }: { name: string; quiet: boolean }) {
  const client = useQueryClient();
  const ways = useMemo(() => waysOf(client, name), [client, name]);
  const { waiting, offline } = useOutbox({ key: name, ...ways });
  return (
    !quiet &&
    offline && (
      <p role="status" style={{ margin: 0, padding: '6px 14px' }}>
        No connection: {waiting.length === 1 ? 'an entry is' : `${waiting.length} entries are`} kept here and sent when
        it is back.
      </p>
    )
  );
}
