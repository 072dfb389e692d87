import { FieldError, Label } from 'react-aria-components';
import styled from 'styled-components';

export const Heading = styled.h2`
  font-size: 15px;
  font-weight: 650;
  margin: 0;
`;

export const Muted = styled.span`
  color: ${(p) => p.theme.soft};
`;

export const FieldLabel = styled(Label)`
  display: block;
  font-size: 13px;
  color: ${(p) => p.theme.soft};
  margin-bottom: 3px;
`;

export const Wrong = styled(FieldError)`
  display: block;
  font-size: 13px;
  font-weight: 600;
  margin-top: 3px;
  &::before {
    content: '▲ ';
  }
`;

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
`;
