import changelog from '../../../CHANGELOG.md?raw';

/** The newest version of the changelog, which is this one, and what is new in it. */
function newest(text: string): { version: string; text: string } {
  const [, section = ''] = text.split(/^## /m);
  const [version = '', ...lines] = section.split('\n');
  return { version: version.trim(), text: lines.join('\n').trim() };
}

export const NEWS = newest(changelog);

const SEEN = 'isotherm.version';

/**
 * Whether this browser showed an older version before. The first visit shows nothing: everything is new then.
 *
 * @param storage gives where the version that was seen last is kept; one that refuses, already when it is asked for, counts as a
 *     first visit
 */
export function upgraded(storage: () => Pick<Storage, 'getItem' | 'setItem'>): boolean {
  try {
    const seen = storage().getItem(SEEN);
    if (seen === null) {
      storage().setItem(SEEN, NEWS.version);
    }
    return seen !== null && seen !== NEWS.version;
  } catch {
    return false;
  }
}

/** From now on this version is not new any more. */
export function newsRead(storage: () => Pick<Storage, 'setItem'>): void {
  try {
    storage().setItem(SEEN, NEWS.version);
  } catch {
    // It is shown once more next time.
  }
}
