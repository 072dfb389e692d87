import { type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { Button, Muted, Row } from '../kit/kit';
import { usePreferences } from '../preferences/preferences';

const Main = styled.main<{ $widest: number }>`
  max-width: ${(p) => p.$widest}px;
  margin: 0 auto;
  padding: 18px 24px 40px;
  & > header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
    margin-bottom: 14px;
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
    padding: 14px 14px 40px;
  }
`;

/** Widths of pages, px: a form, a list, two columns. */
export const NARROW = 440;
export const LIST = 900;
export const WIDE = 1180;

/** A page beside the stations: its title, what it is for, and the ways on. */
export function Page(props: {
  title: string;
  told?: string;
  widest?: number;
  /** The way back to the cars. */
  back?: boolean;
  /** Other ways on. */
  actions?: ReactNode;
  children: ReactNode;
}) {
  const navigate = useNavigate();
  const { themeName, setTheme } = usePreferences();
  return (
    <Main $widest={props.widest ?? NARROW}>
      <header>
        <h1>{props.title}</h1>
        {props.told && <Muted>{props.told}</Muted>}
        <Row>
          <Button onPress={() => setTheme(themeName === 'light' ? 'dark' : 'light')}>
            {themeName === 'light' ? 'Dark theme' : 'Light theme'}
          </Button>
          {props.actions}
          {props.back && <Button onPress={() => void navigate('/')}>Back to the cars</Button>}
        </Row>
      </header>
      {props.children}
    </Main>
  );
}
