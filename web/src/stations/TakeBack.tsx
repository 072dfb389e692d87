import styled from 'styled-components';
import { useBench } from '../bench/workbench';
import { Button } from '../kit/kit';
import { forget, triedOn } from './tried';

const Line = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  padding: 6px 10px;
  border: 1px dashed ${(p) => p.theme.line};
  border-radius: 4px;
`;

/** What was tried by a press, taken back by another. */
export function TakeBack() {
  const { designId, design, changeDesign } = useBench();
  const tried = triedOn(designId, design);
  if (!tried) {
    return null;
  }
  return (
    <Line aria-label="Tried" role="group">
      <span>Tried: {tried.label}</span>
      <Button
        onPress={() => {
          forget(designId);
          changeDesign(tried.before);
        }}
      >
        Take it back
      </Button>
    </Line>
  );
}
