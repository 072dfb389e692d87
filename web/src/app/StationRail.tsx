import { useEffect, useRef, useState } from 'react';
import { NavLink, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { useMe } from '../bench/me';
import { useGo } from '../bench/useGo';
import { useBench } from '../bench/workbench';
import { Actions, Button } from '../kit/kit';
import { PHONE } from '../kit/narrow';
import { usePreferences } from '../preferences/preferences';
import { FilesSheet } from './FilesSheet';
import { stations } from './stations';
import { UnitsSheet } from './UnitsSheet';

const Rail = styled.aside`
  border-right: 1px solid ${(p) => p.theme.faint};
  padding: 14px 12px 12px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  overflow: auto;
  @media print {
    display: none;
  }
  & h1 {
    font-size: 19px;
    font-weight: 700;
    letter-spacing: -0.01em;
    margin: 0;
  }
  & nav {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }
  & nav a {
    display: grid;
    grid-template-columns: 18px 1fr auto;
    gap: 0 6px;
    padding: 9px 8px;
    border-radius: 4px;
    color: inherit;
    text-decoration: none;
  }
  & nav a:hover {
    background: ${(p) => p.theme.press};
  }
  & nav a.active {
    background: ${(p) => p.theme.ink};
    color: ${(p) => p.theme.paper};
  }
  & nav a:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
  & nav small {
    grid-column: 2 / -1;
    font-size: 12px;
    opacity: 0.85;
  }
  & nav b {
    font-weight: 650;
  }
  & footer {
    margin-top: auto;
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  & .phone {
    display: none;
  }
  /* Along the lower edge, where the thumb is. */
  @media ${PHONE} {
    position: fixed;
    z-index: 20;
    inset: auto 0 0;
    flex-direction: row;
    align-items: center;
    gap: 4px;
    padding: 4px 6px calc(4px + env(safe-area-inset-bottom));
    border-right: 0;
    border-top: 1px solid ${(p) => p.theme.line};
    background: ${(p) => p.theme.paper};
    & h1 {
      /* Read aloud, not seen. */
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
    & footer,
    & nav small,
    & nav a > span:first-child {
      display: none;
    }
    & nav {
      flex: 1;
      min-width: 0;
      flex-direction: row;
      overflow-x: auto;
      scrollbar-width: none;
    }
    & nav a {
      position: relative;
      display: flex;
      align-items: center;
      min-height: 52px;
      padding: 0 12px;
    }
    /* Over the name: beside it a count that comes would push the next stations away under a finger. */
    & nav b + span {
      position: absolute;
      inset: 3px 0 auto;
      text-align: center;
      font-size: 12px;
      line-height: 1;
    }
    & .phone {
      display: block;
    }
  }
`;

/** How many findings of the design ask for something, by station. */
export function TellOpen({ onOpen }: { onOpen: (open: Readonly<Record<string, number>>) => void }) {
  const findings = useBench().outcome?.findings;
  useEffect(() => {
    const open: Record<string, number> = {};
    for (const f of findings ?? []) {
      if (f.severity === 'FAILS' || f.severity === 'RISK') {
        const at = f.station.toLowerCase();
        open[at] = (open[at] ?? 0) + 1;
      }
    }
    onOpen(open);
  }, [findings, onOpen]);
  return null;
}

/** Where one can go in this car. */
export function StationRail({
  view,
  designName,
  open,
}: {
  view: Schemas['CarView'];
  designName: string;
  open: Readonly<Record<string, number>>;
}) {
  const { carId, designId, station } = useParams();
  const [search] = useSearchParams();
  const go = useGo();
  const navigate = useNavigate();
  const { themeName, setTheme } = usePreferences();
  const together = useMe()?.together === true;
  const [units, setUnits] = useState(false);
  const [files, setFiles] = useState(false);
  useEffect(() => {
    const keys = (e: globalThis.KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if (
        e.altKey ||
        e.ctrlKey ||
        e.metaKey ||
        target.closest('input, textarea, select, [role=listbox], [role=dialog], [role=menu]')
      ) {
        return;
      }
      const to = stations[Number(e.key) - 1];
      if (to) {
        go({ station: to.id });
      }
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  }, [go]);
  const bar = useRef<HTMLElement>(null);
  useEffect(() => {
    // On a phone the bar is wider than the hand.
    bar.current?.querySelector('.active')?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [station]);
  return (
    <Rail>
      <h1>Isotherm</h1>
      <nav aria-label="Stations" ref={bar}>
        {stations.map((s, i) => (
          <NavLink key={s.id} to={{ pathname: `/cars/${carId}/${s.id}/${designId}`, search: search.toString() }}>
            <span aria-hidden>{i + 1}</span>
            <b>{s.name}</b>
            <span>
              {(open[s.id] ?? 0) > 0 && (
                <span aria-label={open[s.id] === 1 ? '1 finding' : `${open[s.id]} findings`}>▲{open[s.id]}</span>
              )}
            </span>
            <small>{s.decides}</small>
          </NavLink>
        ))}
      </nav>
      <div className="phone">
        <Actions
          label="Guide, files, units, theme"
          actions={[
            { id: 'help', name: 'Guide', run: () => void navigate('/guide') },
            { id: 'files', name: 'Files', run: () => setFiles(true) },
            { id: 'units', name: 'Units', run: () => setUnits(true) },
            ...(together ? [{ id: 'people', name: 'People', run: () => void navigate('/people') }] : []),
            { id: 'state', name: 'State of this garage', run: () => void navigate('/state') },
            {
              id: 'theme',
              name: themeName === 'light' ? 'Dark theme' : 'Light theme',
              run: () => setTheme(themeName === 'light' ? 'dark' : 'light'),
            },
          ]}
        />
      </div>
      <footer>
        {together && <Button onPress={() => void navigate('/people')}>People</Button>}
        <Button onPress={() => setFiles(true)}>Files</Button>
        <Button onPress={() => setUnits(true)}>Units</Button>
        <Button onPress={() => setTheme(themeName === 'light' ? 'dark' : 'light')}>
          {themeName === 'light' ? 'Dark theme' : 'Light theme'}
        </Button>
      </footer>
      {units && <UnitsSheet onClose={() => setUnits(false)} />}
      {files && (
        <FilesSheet
          car={{ id: view.id, name: view.car.name }}
          design={{ id: designId ?? '', name: designName }}
          onDesign={(added) => go({ design: added })}
          onClose={() => setFiles(false)}
        />
      )}
    </Rail>
  );
}
