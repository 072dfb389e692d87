import type { DesignDocument } from '../api/client';

/** The last change of a design that was tried by a press, so that another press takes it back. */
interface Tried {
  readonly label: string;
  readonly before: DesignDocument;
  readonly after: string;
}

const tried = new Map<string, Tried>();

const same = (design: DesignDocument) => JSON.stringify(design);

/** Notes what a design was before a press changed it. */
export function note(designId: string, label: string, before: DesignDocument, after: DesignDocument): void {
  tried.set(designId, { label, before, after: same(after) });
}

/** What was tried on a design that is still as the press left it. */
export function triedOn(designId: string, design: DesignDocument): Tried | undefined {
  const found = tried.get(designId);
  return found && found.after === same(design) ? found : undefined;
}

export function forget(designId: string): void {
  tried.delete(designId);
}
