import type { ReactNode } from 'react';
import styled from 'styled-components';

const Look = styled.p`
  margin: 0;
  border: 2px solid ${(p) => p.theme.ink};
  border-radius: 4px;
  padding: 8px 12px;
  font-weight: 600;
`;

/** What can hurt, at the step where it can. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <Look role="note" aria-label="Caution">
      ▲ {children}
    </Look>
  );
}
