import { useState, type ReactNode } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { Explanation } from './Explanation';

export type FigureKind = Schemas['ExplainQuestion']['figure'];

const Pressed = styled(Button)`
  font: inherit;
  font-variant-numeric: inherit;
  color: inherit;
  background: none;
  border: 0;
  margin: 0;
  padding: 0;
  text-align: inherit;
  cursor: help;
  border-radius: 2px;
  text-decoration: underline dotted 1px;
  text-decoration-color: ${(p) => p.theme.line};
  text-underline-offset: 4px;
  &[data-hovered] {
    background: ${(p) => p.theme.press};
  }
  &[data-focus-visible] {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 1px;
  }
  /* Where figures stand by themselves a finger has to meet them. */
  td > &,
  dd > & {
    min-height: 24px;
  }
  @media print {
    text-decoration: none;
  }
`;

interface Props {
  readonly of: FigureKind;
  /** The figure as it is shown. */
  readonly children: ReactNode;
  /** It belongs to another design, duty or moment than the one at hand: what moves it is not told. */
  readonly other?: boolean;
}

/** A figure that opens: what it is, where it comes from, how sure it is, what moves it. */
export function Figure({ of, children, other }: Props) {
  const [open, setOpen] = useState(false);
  if (children === '–' || children === '') {
    return children;
  }
  return (
    <>
      <Pressed data-figure={of} onPress={() => setOpen(true)}>
        {children}
      </Pressed>
      {open && <Explanation of={of} shown={children} other={other ?? false} onClose={() => setOpen(false)} />}
    </>
  );
}
