import styled from 'styled-components';

/** Fields two by two. */
export const Fields = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px 12px;
  align-items: end;
`;

/** Figures to compare: names on the left, numbers in columns on the right, the present choice in bold. */
export const FigureTable = styled.table`
  border-collapse: collapse;
  width: 100%;
  font-size: 14px;
  font-variant-numeric: tabular-nums;
  & th {
    text-align: left;
    font-weight: 400;
  }
  & thead th {
    color: ${(p) => p.theme.soft};
    font-size: 13px;
  }
  & td,
  & thead th:not(:first-child) {
    text-align: right;
    white-space: nowrap;
    padding-left: 8px;
  }
  & tr > * {
    padding-top: 4px;
    padding-bottom: 4px;
    border-bottom: 1px solid ${(p) => p.theme.faint};
  }
  & tr[aria-current='true'] > * {
    font-weight: 650;
  }
`;

/** One of several things of a list that is edited, with its fields and what removes it. */
export const Item = styled.section`
  display: flex;
  flex-direction: column;
  align-items: stretch;
  gap: 10px;
  padding-bottom: 12px;
  & > button {
    align-self: flex-start;
  }
`;

/** A drawing with its lettering. */
export const Picture = styled.figure`
  margin: 0;
  & svg {
    display: block;
    overflow: visible;
  }
  & text {
    font-size: 12px;
    fill: ${(p) => p.theme.soft};
    font-variant-numeric: tabular-nums;
  }
  & .strong {
    fill: ${(p) => p.theme.ink};
    font-weight: 600;
  }
  & .halo {
    paint-order: stroke;
    stroke: ${(p) => p.theme.paper};
    stroke-width: 4px;
  }
`;
