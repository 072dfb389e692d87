import type { ReactNode } from 'react';
import styled from 'styled-components';

const Grid = styled.div`
  display: grid;
  grid-template-columns: minmax(290px, 304px) minmax(0, 1fr) minmax(220px, 250px);
  gap: 24px;
  padding: 16px 20px 20px;
  align-items: start;
  @media (max-width: 1150px) {
    grid-template-columns: minmax(280px, 320px) minmax(0, 1fr);
    & > .side {
      grid-column: 2;
    }
  }
  @media (max-width: 800px) {
    grid-template-columns: 1fr;
    & > .side {
      grid-column: 1;
    }
  }
`;

const Column = styled.div`
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-width: 0;
`;

/** Choices on the left, what they do in the middle, what is wrong on the right. */
export function Station(props: { choices: ReactNode; pictures: ReactNode; side: ReactNode }) {
  return (
    <Grid>
      <Column>{props.choices}</Column>
      <Column>{props.pictures}</Column>
      <Column className="side">{props.side}</Column>
    </Grid>
  );
}
