import { useQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { queries } from '../api/queries';
import { useMoney } from '../bench/useMoney';
import { useBench } from '../bench/workbench';
import { Button, Coming, Fold, Muted } from '../kit/kit';
import { usePreferences } from '../preferences/preferences';
import { formatTime } from '../units/units';
import { signed, word } from '../words/words';
import { Figure } from './figure/Figure';
import { useRemedy } from './useRemedy';

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
  & li > small {
    display: block;
    font-size: 13px;
    color: ${(p) => p.theme.soft};
  }
  & li > button:first-of-type {
    width: 100%;
    text-align: left;
    padding: 5px 12px;
  }
`;

/** Five of them. */
const LEVERS_HIGH = 480;

type Standing = Schemas['StandingDocument'];

/** This design's strongest levers: what one step of each would bring, tried by a press. */
export function WhatIf({ open }: { open: boolean }) {
  return (
    <Fold name="What if" open={open}>
      <Levers />
    </Fold>
  );
}

function Levers() {
  const { car, duty, design, failure, behind } = useBench();
  const { apply } = useRemedy();
  const { say } = usePreferences();
  const { data, error, isFetching, isPlaceholderData } = useQuery({
    ...queries.whatIf({ car, duty, design }),
    enabled: !behind,
  });
  if (error) {
    return <p role="alert">▲ {error.message}</p>;
  }
  if (!data) {
    return (
      <Coming height={LEVERS_HIGH} idle={!isFetching}>
        {failure ? 'None: no outcome was computed.' : 'Working…'}
      </Coming>
    );
  }
  return (
    <>
      <List aria-label="Strongest levers">
        {data.changes.map((c) => (
          <li key={c.lever}>
            <small>{word('lever', c.lever)}</small>
            <Button
              aria-label={`Try: ${say(c.label)}`}
              isDisabled={behind || isPlaceholderData}
              onPress={() => apply(say(c.label), c.design)}
            >
              {say(c.label)}
            </Button>
            <Effect now={data.now} after={c.after} />
          </li>
        ))}
      </List>
      <Muted>
        Against the design as it is. Pressure: {word('pressurePoint', data.at)}, where it is nearest to its floor. Parts
        without a price in your lists are not counted.
      </Muted>
    </>
  );
}

/** What a step moves: only what it does move is said. */
function Effect({ now, after }: { now: Standing; after: Standing }) {
  const { show } = usePreferences();
  const money = useMoney();
  const parts: { key: string; of: 'PEAK' | 'PRESSURE_AT_POINT' | 'WARM_UP' | 'PRICE'; text: string }[] = [];
  const peak = after.peakC - now.peakC;
  parts.push({
    key: 'peak',
    of: 'PEAK',
    text: `peak ${signed(peak, show(Math.abs(peak), 'temperatureDifference', 1))}`,
  });
  const pressure = after.galleryBar - now.galleryBar;
  if (Math.abs(pressure) >= 0.01) {
    parts.push({
      key: 'pressure',
      of: 'PRESSURE_AT_POINT',
      text: `pressure ${signed(pressure, show(Math.abs(pressure), 'pressure'))}`,
    });
  }
  if (now.warmSeconds !== undefined && after.warmSeconds !== undefined) {
    const warm = after.warmSeconds - now.warmSeconds;
    if (Math.abs(warm) >= 5) {
      parts.push({ key: 'warm', of: 'WARM_UP', text: `warm-up ${signed(warm, formatTime(Math.abs(warm)))}` });
    }
  } else if (now.warmSeconds !== after.warmSeconds) {
    parts.push({ key: 'warm', of: 'WARM_UP', text: after.warmSeconds === undefined ? 'never warm' : 'gets warm' });
  }
  if (now.price !== undefined && after.price !== undefined && Math.abs(after.price - now.price) >= 1) {
    const price = after.price - now.price;
    parts.push({ key: 'price', of: 'PRICE', text: signed(price, money(Math.abs(price))) });
  }
  return (
    <span>
      {parts.map((p, i) => (
        <span key={p.key}>
          {i > 0 && ', '}
          <Figure of={p.of} other>
            {p.text}
          </Figure>
        </span>
      ))}
    </span>
  );
}
