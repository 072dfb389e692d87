import Markdown from 'markdown-to-jsx';
import styled from 'styled-components';

/** The pictures of the guide, by their names; they come with the page that shows them. */
const PICTURES = import.meta.glob<string>(
  '../../../docs/screenshots/{duty,core,place,plumb,compare,build,prove,care}.png',
  {
    eager: true,
    query: '?url',
    import: 'default',
  },
);

const Body = styled.article`
  max-width: 760px;
  & h1 {
    font-size: 21px;
    margin: 0 0 12px;
  }
  & h2 {
    font-size: 16px;
    margin: 22px 0 6px;
  }
  & p,
  & li {
    line-height: 1.5;
  }
  & ul,
  & ol {
    padding-left: 22px;
  }
  & img {
    display: block;
    width: 100%;
    height: auto;
    border: 1px solid ${(p) => p.theme.faint};
  }
  & code {
    font: inherit;
    padding: 0 4px;
    background: ${(p) => p.theme.press};
  }
`;

function Picture({ src, alt }: { src?: string; alt?: string }) {
  const found = Object.entries(PICTURES).find(([path]) => path.endsWith(`/${src ?? ''}`));
  return found ? <img src={found[1]} alt={alt} loading="lazy" /> : null;
}

/** A page of the guide, from the same file that stands in the documentation. */
export function Text({ text, headless }: { text: string; headless?: boolean }) {
  const shown = headless ? text.replace(/^# .*\n/, '') : text;
  return (
    <Body>
      <Markdown options={{ forceBlock: true, disableParsingRawHTML: true, overrides: { img: Picture } }}>
        {shown}
      </Markdown>
    </Body>
  );
}
