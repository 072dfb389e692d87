import { LIST, Page } from './Page';
import { NEWS, newsRead } from '../guide/news';
import { Text } from '../guide/Text';

/** What is new in this version, in the words of the changelog. */
export function News() {
  newsRead(() => localStorage);
  return (
    <Page title={`New in ${NEWS.version}`} widest={LIST} back>
      <Text text={NEWS.text.replace(/^### /gm, '## ')} />
    </Page>
  );
}
