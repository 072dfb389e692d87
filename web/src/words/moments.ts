/** A moment as it is where it is read: "27 Nov, 18:40". */
export function when(at: string): string {
  return new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
}

/** A moment's day as it is where it is read: "27 November 2026". */
export function dayOf(at: string): string {
  return new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
}
