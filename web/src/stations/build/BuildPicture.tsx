import { useEffect, useState } from 'react';
import { get } from 'idb-keyval';

/** A picture of a build: the server's, or while it waits to be sent the browser's own. */
export function BuildPicture({
  buildId,
  id,
  alt,
  waits,
}: {
  buildId: string;
  id: string;
  alt: string;
  waits: boolean;
}) {
  const [own, setOwn] = useState<string>();
  useEffect(() => {
    if (!waits) {
      return;
    }
    let url: string | undefined;
    void get<Blob>(id).then((blob) => {
      if (blob) {
        url = URL.createObjectURL(blob);
        setOwn(url);
      }
    });
    return () => {
      if (url) {
        URL.revokeObjectURL(url);
      }
    };
  }, [id, waits]);
  const src = waits ? own : `/api/builds/${buildId}/pictures/${id}`;
  return src && <img src={src} alt={alt} />;
}
