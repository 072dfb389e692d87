import { ApiError, waits } from '../api/client';

const RETRY_MS = 2000;
const REFUSED = ':refused';

/** Something that the server did not take, with its reason: it stays here until it has been read. */
export interface Refused<E> {
  readonly entry: E;
  readonly why: string;
}

export interface OutboxState<E> {
  /** What is written here and has not arrived yet, oldest first. */
  readonly waiting: readonly E[];
  readonly offline: boolean;
  readonly refused: readonly Refused<E>[];
}

export interface Ways<E> {
  /** Sends an entry; one that was sent already changes nothing. */
  send(entry: E): Promise<void>;
  /** An entry was not taken: what is shown here may be older than what is there. */
  onRefused(): void;
}

function kept<T>(key: string): T[] {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(list) ? (list as T[]) : [];
  } catch {
    return [];
  }
}

function keep(key: string, list: readonly unknown[]) {
  if (list.length === 0) {
    localStorage.removeItem(key);
  } else {
    localStorage.setItem(key, JSON.stringify(list));
  }
}

/** Only one page of this browser sends at a time; what two of them send all the same is written once by the server. */
async function alone(key: string, work: () => Promise<void>): Promise<void> {
  // Locks are only there over HTTPS and on loopback.
  const { locks } = navigator as { locks?: LockManager };
  if (locks) {
    await locks.request(key, { ifAvailable: true }, (lock) => (lock ? work() : undefined));
  } else {
    await work();
  }
}

/**
 * Entries on their way to the server. Each is kept in the browser until the server has it, so that a closed lid or a lost
 * connection loses nothing, and they arrive in the order in which they were written. The browser's memory is what counts, read
 * again at every step: other pages of it write there too.
 */
export class Outbox<E extends { readonly id: string }> {
  private offline = false;
  private busy = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly listeners = new Set<() => void>();
  private state: OutboxState<E>;
  private ways: Ways<E>;

  constructor(
    readonly key: string,
    ways: Ways<E>,
  ) {
    this.ways = ways;
    this.state = this.now();
  }

  private now(): OutboxState<E> {
    return { waiting: kept<E>(this.key), offline: this.offline, refused: kept<Refused<E>>(this.key + REFUSED) };
  }

  private readonly changed = () => {
    this.state = this.now();
    this.listeners.forEach((l) => l());
    window.dispatchEvent(new Event(CHANGED));
  };

  private readonly elsewhere = (e: StorageEvent) => {
    if (e.key === this.key || e.key === this.key + REFUSED) {
      this.changed();
    }
  };

  private readonly online = () => void this.flush();

  readonly snapshot = (): OutboxState<E> => this.state;

  readonly subscribe = (listener: () => void) => {
    if (this.listeners.size === 0) {
      window.addEventListener('online', this.online);
      window.addEventListener('storage', this.elsewhere);
      this.timer = setTimeout(this.online, 0);
    }
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0) {
        window.removeEventListener('online', this.online);
        window.removeEventListener('storage', this.elsewhere);
        clearTimeout(this.timer);
        if (all.get(this.key) === (this as unknown)) {
          all.delete(this.key);
        }
      }
    };
  };

  /** From now on it is sent like this. */
  goBy(ways: Ways<E>) {
    this.ways = ways;
  }

  readonly add = (entry: E) => {
    keep(this.key, [...kept<E>(this.key), entry]);
    this.changed();
    void this.flush();
  };

  readonly forget = (id: string) => {
    const at = this.key + REFUSED;
    keep(
      at,
      kept<Refused<E>>(at).filter((r) => r.entry.id !== id),
    );
    this.changed();
  };

  private async flush() {
    if (this.busy) {
      return;
    }
    this.busy = true;
    clearTimeout(this.timer);
    try {
      await alone(this.key, () => this.sendAll());
    } finally {
      this.busy = false;
    }
    // What was written while another page held the lock is its business; what is left after a failure waits.
    if (this.listeners.size > 0 && kept<E>(this.key).length > 0) {
      clearTimeout(this.timer);
      this.timer = setTimeout(this.online, RETRY_MS);
    }
  }

  private async sendAll() {
    for (let entry = kept<E>(this.key)[0]; entry; entry = kept<E>(this.key)[0]) {
      const sent = entry;
      try {
        await this.ways.send(sent);
        this.offline = false;
      } catch (e) {
        if (!(e instanceof ApiError) || waits(e)) {
          this.offline = true;
          this.changed();
          return;
        }
        const at = this.key + REFUSED;
        keep(at, [...kept<Refused<E>>(at), { entry: sent, why: e.problems[0]?.message ?? e.message }]);
        this.ways.onRefused();
      }
      keep(
        this.key,
        kept<E>(this.key).filter((q) => q.id !== sent.id),
      );
      this.changed();
    }
  }
}

const all = new Map<string, Outbox<{ readonly id: string }>>();

/** Told on the window whenever something waits, or waits no more. */
export const CHANGED = 'isotherm-outbox';

/** The one outbox of a key in this page, whoever asks for it. */
export function outboxOf<E extends { readonly id: string }>(key: string, ways: Ways<E>): Outbox<E> {
  const known = all.get(key) as unknown as Outbox<E> | undefined;
  if (known) {
    return known;
  }
  const made = new Outbox<E>(key, ways);
  all.set(key, made as unknown as Outbox<{ readonly id: string }>);
  return made;
}

/** Keys under which something waits in this browser. */
export function waitingKeys(prefixes: readonly string[]): string {
  return Object.keys(localStorage)
    .filter((key) => prefixes.some((p) => key.startsWith(p)) && !key.endsWith(REFUSED) && kept(key).length > 0)
    .sort()
    .join(' ');
}
