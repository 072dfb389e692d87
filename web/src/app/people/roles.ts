/** What somebody may do, in words. */
export const ROLES = [
  { id: 'VIEWER', name: 'Viewer' },
  { id: 'BUILDER', name: 'Builder' },
  { id: 'OWNER', name: 'Owner' },
] as const;

/** A moment's day, as it is where it is read. */
export function day(at: string): string {
  return new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
}

/** A moment, as it is where it is read. */
export function moment(at: string): string {
  return new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' });
}
