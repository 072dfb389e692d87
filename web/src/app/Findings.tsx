import styled from 'styled-components';
import { Button, Heading, Muted } from '../kit/kit';
import { useBench } from './workbench';

const Panel = styled.section`
  display: flex;
  flex-direction: column;
  gap: 12px;
  & ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: flex;
    flex-direction: column;
    gap: 14px;
  }
  & li {
    display: grid;
    grid-template-columns: 22px 1fr;
    gap: 2px 8px;
  }
  & h3 {
    font-size: 15px;
    margin: 0;
    font-weight: 650;
  }
  & p {
    margin: 0;
    font-size: 14px;
    grid-column: 2;
    color: ${(p) => p.theme.soft};
  }
  & li > button {
    grid-column: 2;
    justify-self: start;
    margin-top: 6px;
  }
  & .sign {
    font-size: 15px;
  }
`;

/** Shape and word, so that nothing depends on colour. */
const signs = {
  FAILS: { sign: '✕', word: 'Fails' },
  RISK: { sign: '▲', word: 'Risk' },
  NOTE: { sign: '●', word: 'Note' },
  GOOD: { sign: '✓', word: 'Good' },
} as const;

export function Findings() {
  const { outcome, changeDesign, behind } = useBench();
  return (
    <Panel aria-label="Findings" aria-busy={behind}>
      <Heading>Findings</Heading>
      {!outcome && <Muted>Working…</Muted>}
      <ul>
        {outcome?.findings.map((f) => (
          <li key={f.topic}>
            <span className="sign" role="img" aria-label={signs[f.severity].word}>
              {signs[f.severity].sign}
            </span>
            <h3>
              {f.what}: {f.figure}
            </h3>
            <p>{f.why}</p>
            {f.remedy && <Button onPress={() => f.remedy && changeDesign(f.remedy.design)}>{f.remedy.label}</Button>}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
