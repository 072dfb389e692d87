import { exchange } from '../api/client';

/** Has the server make a file of what is on the screen, and hands it to the browser. */
export async function download(path: string, asked: unknown, name: string): Promise<void> {
  const response = await exchange(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(asked),
  }).catch((e: unknown) => {
    throw new Error(`${name} could not be made: ${(e as Error).message}`, { cause: e });
  });
  const url = URL.createObjectURL(await response.blob());
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
