import styled from 'styled-components';

/** Things one below the other, each with what can be done with it on its right. */
export const Lines = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  & > li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 6px 16px;
    padding: 8px 0;
    border-bottom: 1px solid ${(p) => p.theme.faint};
  }
`;
