import { useCallback, useEffect, useRef, useState } from 'react';
import { basedOn, waits, ApiError } from '../api/client';
import { sameDocument } from './sameDocument';

export type SaveState =
  /** Only tried: whoever reads here changes nothing. */
  | { kind: 'tried' }
  | { kind: 'saved' }
  | { kind: 'updated' }
  | { kind: 'saving' }
  | { kind: 'offline' }
  | { kind: 'refused'; message: string }
  | { kind: 'conflict'; theirs: unknown; theirVersion: number };

interface Draft<T> {
  document: T;
  version: number;
  /** What was last sent and not yet acknowledged: finding it on the server is no conflict. */
  sent?: T;
}

/** Sends a document, based on the version that is named. */
export type Put<T> = (document: T, header: { 'If-Match': string }, keepalive: boolean) => Promise<{ version: number }>;

interface Told {
  path: string;
  document: unknown;
  version: number;
}

const RETRY_MS = 2000;
const PAUSE_MS = 300;
/** Browsers refuse to let a large body outlive its page. */
const KEEPALIVE_LENGTH = 20_000;

/** Other tabs of this browser are told at once of what was saved here. */
const tabs = new BroadcastChannel('isotherm.saved');

/**
 * A document that is saved as it is changed. What the server has not yet taken is kept in the browser as well, so that a
 * reload, a closed lid or a lost connection loses nothing; a change made elsewhere is taken over while nothing is unsaved
 * here, and told, never overwritten, when something is.
 */
export function useSaved<T>(
  path: string,
  put: Put<T>,
  stored: T,
  storedVersion: number,
  onStored: (document: T, version: number) => void,
  keeps = true,
) {
  const key = `isotherm.unsaved:${path}`;
  // A draft goes on from the version that it was based on, so that a change made elsewhere meanwhile is still noticed.
  const [initial] = useState<Draft<T>>(() => {
    const kept = localStorage.getItem(key);
    return kept ? (JSON.parse(kept) as Draft<T>) : { document: stored, version: storedVersion };
  });
  const [document, setDocument] = useState<T>(initial.document);
  const [state, setState] = useState<SaveState>({ kind: 'saved' });
  const latest = useRef<Draft<T>>(initial);
  const dirty = useRef(localStorage.getItem(key) !== null);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const again = useRef<() => Promise<void>>(undefined);
  const tell = useRef(onStored);
  const send = useRef(put);
  useEffect(() => {
    send.current = put;
    tell.current = onStored;
  });

  const keep = useCallback(() => {
    if (dirty.current) {
      localStorage.setItem(key, JSON.stringify(latest.current));
    } else {
      localStorage.removeItem(key);
    }
  }, [key]);

  const settled = useCallback(
    (sent: T, version: number) => {
      latest.current = { document: latest.current.document, version };
      dirty.current = !sameDocument(latest.current.document, sent);
      keep();
      setState({ kind: dirty.current ? 'saving' : 'saved' });
      tell.current(sent, version);
    },
    [keep],
  );

  const save = useCallback(async () => {
    if (busy.current || !dirty.current) {
      return;
    }
    busy.current = true;
    const sent = latest.current.document;
    const before = latest.current.sent;
    latest.current = { ...latest.current, sent };
    keep();
    setState({ kind: 'saving' });
    try {
      const keepalive = JSON.stringify(sent).length < KEEPALIVE_LENGTH;
      const answer = await send.current(sent, basedOn(latest.current.version), keepalive);
      settled(sent, answer.version);
      tabs.postMessage({ path, document: sent, version: answer.version } satisfies Told);
    } catch (e) {
      busy.current = false;
      if (e instanceof ApiError && e.status === 412) {
        const theirs = e.body['current'];
        const theirVersion = Number(e.body['currentVersion']);
        if (sameDocument(theirs, sent) || (before !== undefined && sameDocument(theirs, before))) {
          // An answer that never arrived, of a page that went away: the server has what was sent from here.
          settled(theirs as T, theirVersion);
        } else {
          setState({ kind: 'conflict', theirs, theirVersion });
          return;
        }
      } else if (e instanceof ApiError && !waits(e)) {
        setState({ kind: 'refused', message: e.message });
        return;
      } else {
        setState({ kind: 'offline' });
        timer.current = setTimeout(() => void again.current?.(), RETRY_MS);
        return;
      }
    }
    busy.current = false;
    if (dirty.current) {
      void again.current?.();
    }
  }, [path, keep, settled]);

  useEffect(() => {
    again.current = save;
    if (dirty.current) {
      void save();
    }
    return () => clearTimeout(timer.current);
  }, [save]);

  useEffect(() => {
    // A page that goes away sends what it has at once; what fails is still kept in the browser.
    const leave = () => void again.current?.();
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, []);

  /** Takes over what was saved elsewhere, unless something is unsaved here: then the next save tells of it. */
  const adopt = useCallback((theirs: T, version: number) => {
    if (version > latest.current.version && !dirty.current && !busy.current) {
      const news = !sameDocument(theirs, latest.current.document);
      latest.current = { document: theirs, version };
      if (news) {
        setDocument(theirs);
        setState({ kind: 'updated' });
      }
    }
  }, []);

  useEffect(() => {
    adopt(stored, storedVersion);
  }, [adopt, stored, storedVersion]);

  useEffect(() => {
    const listen = (e: MessageEvent<Told>) => {
      if (e.data.path === path) {
        adopt(e.data.document as T, e.data.version);
        tell.current(e.data.document as T, e.data.version);
      }
    };
    tabs.addEventListener('message', listen);
    return () => tabs.removeEventListener('message', listen);
  }, [adopt, path]);

  const change = useCallback(
    (next: T) => {
      if (!keeps) {
        latest.current = { ...latest.current, document: next };
        setDocument(next);
        setState({ kind: 'tried' });
        return;
      }
      latest.current = { ...latest.current, document: next };
      dirty.current = true;
      keep();
      setDocument(next);
      setState((s) => (s.kind === 'conflict' || s.kind === 'saving' ? s : { kind: 'saving' }));
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void save(), PAUSE_MS);
    },
    [keep, save, keeps],
  );

  /** After a conflict: go on with what is here, or with what is there. */
  const settle = useCallback(
    (mine: boolean) => {
      if (state.kind !== 'conflict') {
        return;
      }
      latest.current = {
        document: mine ? latest.current.document : (state.theirs as T),
        version: state.theirVersion,
      };
      dirty.current = mine;
      keep();
      setDocument(latest.current.document);
      setState({ kind: mine ? 'saving' : 'saved' });
      tell.current(state.theirs as T, state.theirVersion);
      void save();
    },
    [keep, save, state],
  );

  /** What it is at this moment, drawn or not: for what answers a press, which then need not change with every document. */
  const now = useCallback(() => latest.current.document, []);

  return { document, now, change, state, settle };
}
