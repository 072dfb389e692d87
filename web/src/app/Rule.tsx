import { useState } from 'react';
import styled from 'styled-components';
import { usePresets } from '../bench/presets';
import { useBench } from '../bench/workbench';
import { PHONE } from '../kit/narrow';
import { usePreferences } from '../preferences/preferences';
import { Explanation } from '../stations/figure/Explanation';
import { Ruler } from './Ruler';
import { marksOf, type Mark } from './ruleMarks';
import { useFolded } from './useFolded';

const Frame = styled.section`
  border-bottom: 1px solid ${(p) => p.theme.faint};
  background: ${(p) => p.theme.sheet};
  padding: 0 20px;
  @media ${PHONE} {
    padding: 0 28px 0 20px;
  }
  & svg {
    display: block;
    overflow: visible;
  }
  & text {
    font-size: 12px;
    fill: ${(p) => p.theme.ink};
    font-variant-numeric: tabular-nums;
  }
  & .tick {
    fill: ${(p) => p.theme.soft};
  }
  & g.mark {
    transition: transform 180ms ease-out;
    outline: 0;
  }
  & g.mark:focus-visible .hit {
    stroke: ${(p) => p.theme.focus};
    stroke-width: 2;
  }
  @media (prefers-reduced-motion: reduce) {
    & g.mark {
      transition: none;
    }
  }
`;

const Line = styled.div`
  display: flex;
  flex-wrap: nowrap;
  align-items: center;
  gap: 4px 16px;
  height: 32px;
  overflow: hidden;
  white-space: nowrap;
  & button {
    font: inherit;
    font-size: 13px;
    color: inherit;
    background: none;
    border: 0;
    padding: 4px 0;
    cursor: pointer;
    border-radius: 2px;
  }
  & button:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
  }
  & .open {
    margin-left: auto;
    text-decoration: underline 1px;
    text-underline-offset: 3px;
  }
`;

/** The one temperature ruler: everything that has a temperature stands on it, where it is; a line while one reads further down. */
export function ThermalRule() {
  const bench = useBench();
  const { show } = usePreferences();
  const [opened, setOpened] = useState<Mark>();
  const { rule, folded, unfold } = useFolded();
  const t = (celsius: number) => show(celsius, 'temperature');
  const { usual } = usePresets();
  const marks = marksOf({ ...bench, spanC: usual.thermostatSpanK }, t);
  return (
    <Frame ref={rule} aria-label="Thermal rule" aria-busy={bench.behind}>
      {folded ? (
        <Line>
          {marks
            .filter((m) => m.key !== 'bare' && m.key !== 'opens')
            .sort((a, b) => a.at - b.at)
            .map((m) => (
              <button
                key={m.key}
                type="button"
                aria-label={`${m.name} ${show(m.at, 'temperature', 1)}. ${m.told}`}
                onClick={() => setOpened(m)}
              >
                {m.name} <b>{t(m.at)}</b>
              </button>
            ))}
          <button type="button" className="open" aria-expanded={false} onClick={unfold}>
            Open the thermal rule ▾
          </button>
        </Line>
      ) : (
        <Ruler marks={marks} onOpen={setOpened} />
      )}
      {opened && (
        <Explanation
          of={opened.of}
          shown={show(opened.at, 'temperature', 1)}
          other={opened.key === 'ghost'}
          onClose={() => setOpened(undefined)}
        />
      )}
    </Frame>
  );
}
