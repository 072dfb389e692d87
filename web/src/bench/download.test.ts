// @vitest-environment happy-dom
import { afterEach, expect, it, vi } from 'vitest';
import { download } from './download';

const fetched = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetched);

afterEach(() => {
  fetched.mockReset();
  vi.restoreAllMocks();
});

it('hands over what was made, under its name', async () => {
  const clicked: string[] = [];
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    clicked.push(this.download);
  });
  fetched.mockResolvedValueOnce(new Response('%PDF-'));
  await download('/api/papers', { a: 1 }, 'cut-list.pdf');
  expect(clicked).toEqual(['cut-list.pdf']);
  expect(fetched.mock.calls[0]?.[1]?.body).toBe('{"a":1}');
});

it('says why nothing could be made', async () => {
  const problems = [{ path: '/design/plumbing', message: 'A hose has no way to go' }];
  fetched.mockResolvedValueOnce(new Response(JSON.stringify({ detail: 'Not taken', problems }), { status: 422 }));
  await expect(download('/api/papers', {}, 'cut-list.pdf')).rejects.toThrow(
    'cut-list.pdf could not be made: A hose has no way to go',
  );
  fetched.mockRejectedValueOnce(new TypeError('Failed to fetch'));
  await expect(download('/api/papers', {}, 'cut-list.pdf')).rejects.toThrow(
    'cut-list.pdf could not be made: There is no connection to the garage',
  );
});
