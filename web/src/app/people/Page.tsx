import { type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { Button, Row } from '../../kit/kit';
import { usePreferences } from '../../preferences/preferences';

const Main = styled.main<{ $wide: boolean }>`
  max-width: ${(p) => (p.$wide ? 900 : 440)}px;
  margin: 0 auto;
  padding: 18px 24px 60px;
  & > header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
    margin-bottom: 18px;
  }
  & > header > :last-child {
    margin-left: auto;
  }
  & h1 {
    font-size: 21px;
    margin: 0;
    letter-spacing: -0.01em;
  }
  & > section {
    display: flex;
    flex-direction: column;
    gap: 10px;
    margin-bottom: 28px;
  }
  @media (max-width: 800px) {
    padding: 14px 14px 60px;
  }
`;

/** A page beside the stations. */
export function Page(props: { title: string; wide?: boolean; back?: boolean; children: ReactNode }) {
  const navigate = useNavigate();
  const { themeName, setTheme } = usePreferences();
  return (
    <Main $wide={props.wide === true}>
      <header>
        <h1>{props.title}</h1>
        <Row>
          <Button onPress={() => setTheme(themeName === 'light' ? 'dark' : 'light')}>
            {themeName === 'light' ? 'Dark theme' : 'Light theme'}
          </Button>
          {props.back && <Button onPress={() => void navigate('/')}>Back to the cars</Button>}
        </Row>
      </header>
      {props.children}
    </Main>
  );
}
