import { useState } from 'react';
import styled from 'styled-components';
import { Button, Coming, Heading, Muted, Row } from '../kit/kit';
import { usePreferences } from '../preferences/preferences';
import { useBench } from '../bench/workbench';
import { word } from '../words/words';
import { useRemedy } from './useRemedy';
import { useNextMeasurement } from './NextMeasurement';
import { Said } from './figure/Said';

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
    gap: 9px;
  }
  & li {
    display: grid;
    grid-template-columns: 22px 1fr;
    gap: 2px 8px;
  }
  & summary {
    font-size: 15px;
    line-height: 1.3;
    font-weight: 600;
    cursor: pointer;
    list-style: none;
    border-radius: 3px;
  }
  & summary::-webkit-details-marker {
    display: none;
  }
  & summary:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
  & p {
    margin: 2px 0 0;
    font-size: 13.5px;
    line-height: 1.35;
    color: ${(p) => p.theme.soft};
  }
  & details > button {
    margin-top: 6px;
    text-align: left;
    padding: 4px 12px;
  }
  & .sign {
    font-size: 15px;
  }
`;

/** Of three or four findings, the first one open. */
const FINDINGS_HIGH = 470;

/** Shape and word, so that nothing depends on colour. */
const signs = {
  FAILS: { sign: '✕', word: 'Fails' },
  RISK: { sign: '▲', word: 'Risk' },
  NOTE: { sign: '●', word: 'Note' },
  GOOD: { sign: '✓', word: 'Good' },
} as const;

const Answer = styled.section`
  border: 1.5px solid ${(p) => p.theme.ink};
  border-radius: 4px;
  padding: 12px 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  & p {
    margin: 0;
  }
  & > p:first-of-type {
    font-size: 18px;
    font-weight: 650;
    line-height: 1.25;
  }
`;

/** The first answer of all: does this car need another cooler? */
export function Verdict() {
  const { outcome, behind } = useBench();
  const { say, show } = usePreferences();
  const { apply, failed, madeFrom, takeBack } = useRemedy();
  const best = useNextMeasurement()?.measurements[0];
  if (!outcome) {
    return null;
  }
  const { unsure, what, why } = outcome.verdict;
  // Where there is nothing cheaper, what mends the heat is the way on.
  const mends = outcome.findings.find((f) => f.topic === 'TOO_HOT')?.remedy;
  const options = outcome.verdict.options.length > 0 ? outcome.verdict.options : mends ? [mends] : [];
  return (
    <Answer aria-label="Verdict" aria-busy={behind || (unsure && !best)}>
      <p>
        <Said message={what} />
      </p>
      <p>
        <Said message={why} />
      </p>
      {/* Two lines are kept for it from the start, so that nothing moves under the pointer when it arrives. */}
      {unsure && (
        <p style={{ minHeight: '2.8em' }}>Measure next: {best ? word('measurement', best.kind, 'name') : '…'}</p>
      )}
      {options.length > 0 && (
        <Row>
          {options.map((o) => (
            <Button key={say(o.label)} onPress={() => apply(say(o.label), o.design)}>
              {say(o.label)}: {show(o.peakC, 'temperature')}
            </Button>
          ))}
        </Row>
      )}
      {madeFrom && (
        <Row>
          <Muted as="span">A design beside “{madeFrom}”, which stays as it is.</Muted>
          <Button onPress={takeBack}>Take it back</Button>
        </Row>
      )}
      {failed && <p role="alert">▲ {failed}</p>}
    </Answer>
  );
}

/** All findings, those of the station at hand first; what only an engineer asks stays behind one step. */
export function Findings({ station }: { station?: 'DUTY' | 'CORE' | 'PLACE' | 'PLUMB' }) {
  const { outcome, failure, behind } = useBench();
  const all = outcome?.findings.filter((f) => !f.background) ?? [];
  const background = outcome?.findings.filter((f) => f.background) ?? [];
  const ordered = station
    ? [...all.filter((f) => f.station === station), ...all.filter((f) => f.station !== station)]
    : all;
  return (
    <Panel aria-label="Findings" aria-busy={behind && !failure}>
      <Heading>Findings</Heading>
      {!outcome && (
        <Coming height={FINDINGS_HIGH} idle={!behind || failure !== null}>
          {failure ? 'None: no outcome was computed.' : 'Working…'}
        </Coming>
      )}
      <ul>
        {ordered.map((f, i) => (
          <Item key={f.topic} finding={f} open={i === 0} />
        ))}
      </ul>
      {background.length > 0 && (
        <details>
          <summary>How this is computed</summary>
          <ul>
            {background.map((f) => (
              <Item key={f.topic} finding={f} open />
            ))}
          </ul>
        </details>
      )}
    </Panel>
  );
}

type Finding = NonNullable<ReturnType<typeof useBench>['outcome']>['findings'][number];

function Item({ finding: f, open }: { finding: Finding; open: boolean }) {
  const { apply } = useRemedy();
  const { say } = usePreferences();
  // What somebody opened or shut stays so when another answer changes the order.
  const [turned, turn] = useState<boolean>();
  const shown = turned ?? open;
  return (
    <li>
      <span className="sign" role="img" aria-label={signs[f.severity].word}>
        {signs[f.severity].sign}
      </span>
      <details open={shown}>
        <summary
          onClick={(e) => {
            e.preventDefault();
            turn(!shown);
          }}
        >
          {say(f.what)}
        </summary>
        <p>
          <Said message={f.why} />
        </p>
        {f.remedy && (
          <>
            <Button onPress={() => f.remedy && apply(say(f.remedy.label), f.remedy.design)}>
              {say(f.remedy.label)}
            </Button>
            <p>
              <Said message={f.remedy.effect} />
            </p>
          </>
        )}
      </details>
    </li>
  );
}
