import type { ReactNode } from 'react';
import styled from 'styled-components';
import { PHONE } from '../kit/narrow';
import { Held } from '../bench/workbench';
import { TakeBack } from './TakeBack';
import { WhatIf } from './WhatIf';

const Grid = styled.div`
  display: grid;
  grid-template-columns: minmax(290px, 304px) minmax(0, 1fr) minmax(220px, 250px);
  height: 100%;
  @media (min-width: 801px) and (max-width: 1150px) {
    grid-template-columns: minmax(280px, 300px) minmax(0, 1fr);
    && > .side {
      grid-column: 2;
      border-top: 1px solid ${(p) => p.theme.faint};
    }
    /* What is done at the car keeps the gauges in sight. */
    &[data-first='work'] {
      grid-template-rows: minmax(0, 1fr) auto;
      & > .side {
        max-height: 34vh;
      }
      & > .choices {
        grid-row: 1 / -1;
      }
    }
    /* Pictures and findings follow each other in one column: a second bar would cut the pictures off. */
    &:not([data-first='work']) {
      grid-template-rows: max-content max-content;
      align-content: start;
      overflow: auto;
      & > * {
        grid-column: 2;
        overflow: visible;
      }
      & > .choices {
        grid-column: 1;
        grid-row: 1 / span 2;
        position: sticky;
        top: 0;
        align-self: start;
        height: 100cqh;
        overflow: auto;
      }
    }
  }
  @media (max-width: 800px) {
    display: flex;
    flex-direction: column;
    height: auto;
    /* A table that is wider than the hand is pushed aside within its column, never the page. */
    & > *,
    & > .side {
      overflow: auto visible;
      max-height: none;
    }
    &[data-first='work'] > * {
      overflow: visible;
    }
    /* What is done at the car comes first, what it was begun with last. */
    &[data-first='work'] > .choices {
      order: 3;
    }
    &[data-first='work'] > .side {
      order: 2;
      border-top: 0;
    }
  }
  @media print {
    height: auto;
  }
`;

/** Each column scrolls by itself, so that the page does not: the rule and the pictures stay in sight. */
const Column = styled.div`
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-width: 0;
  min-height: 0;
  overflow: auto;
  /* What is hidden from sight but read aloud stays inside the column. */
  position: relative;
  padding: 14px 12px 20px;
  &:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: -2px;
  }
  &.choices {
    padding-left: 20px;
  }
  &.side {
    padding-right: 18px;
  }
  @media ${PHONE} {
    padding: 12px;
    &.choices {
      padding-left: 12px;
    }
    &.side {
      padding-right: 12px;
    }
  }
`;

/** Choices on the left, what they do in the middle, what is wrong on the right. */
export function Station(props: {
  choices: ReactNode;
  pictures: ReactNode;
  side: ReactNode;
  /** On a phone the work comes before the choices. */
  first?: 'work';
}) {
  return (
    <Grid data-first={props.first}>
      <Column className="choices">
        <Held>{props.choices}</Held>
      </Column>
      {/* Not all that is read in these can be tabbed to: the columns themselves can, so that keys scroll them. */}
      <Column tabIndex={0} role="group" aria-label="What it does">
        {props.pictures}
      </Column>
      <Column className="side" tabIndex={0} role="group" aria-label="Beside it">
        <Held>
          <TakeBack />
          {props.side}
          <WhatIf open={props.first !== 'work'} />
        </Held>
      </Column>
    </Grid>
  );
}
