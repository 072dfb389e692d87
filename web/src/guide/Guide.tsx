import { useNavigate } from 'react-router';
import styled from 'styled-components';
import guide from '../../../docs/guide.md?raw';
import { Button, Fold, Row } from '../kit/kit';
import { PAGES } from './pages';
import { Text } from './Text';

const Page = styled.main`
  padding: 18px 24px 60px;
  max-width: 820px;
  margin: 0 auto;
  @media print {
    padding: 0;
  }
`;

/** The whole guide: one car from the first question to the first service, then a page for each station. */
export function Guide() {
  const navigate = useNavigate();
  return (
    <Page>
      <Row style={{ justifyContent: 'flex-end', marginBottom: 8 }}>
        <Button onPress={() => void navigate(-1)}>Back</Button>
      </Row>
      <Text text={guide} />
      <h2 style={{ fontSize: 16, margin: '26px 0 8px' }}>The stations one by one</h2>
      {Object.entries(PAGES).map(([id, text]) => (
        <Fold key={id} name={(/^# (.*)/.exec(text) ?? [])[1] ?? id}>
          <Text text={text} headless />
        </Fold>
      ))}
    </Page>
  );
}
