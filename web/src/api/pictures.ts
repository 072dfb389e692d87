import { ApiError, newId } from './client';

/**
 * Sends a picture under an identity of its own, so that one that is sent twice is kept once.
 *
 * @returns the identity
 */
export async function sendPicture(under: string, picture: Blob, id = newId()): Promise<string> {
  const response = await fetch(`${under}/${id}`, {
    method: 'PUT',
    headers: { 'content-type': picture.type || 'image/jpeg' },
    body: picture,
  });
  if (!response.ok) {
    const detail = (await response.json().catch(() => ({}))) as Record<string, unknown> & { detail?: string };
    const problems = (detail['problems'] as { path: string; message: string }[] | undefined) ?? [];
    throw new ApiError(response.status, detail.detail ?? 'The picture was not taken', problems, detail);
  }
  return id;
}
