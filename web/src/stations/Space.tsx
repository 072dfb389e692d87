import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useMemo } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { queries } from '../api/queries';
import { useBench } from '../bench/workbench';
import { Muted } from '../kit/kit';
import type { Tube } from '../pictures/space/shapes';

const SpacePicture = lazy(() => import('../pictures/space/SpacePicture'));

const Names = styled.ul`
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin: 0;
  padding: 0;
  & button {
    font: inherit;
    font-size: 13px;
    color: inherit;
    min-height: 32px;
    padding: 2px 10px;
    border: 1px solid ${(p) => p.theme.line};
    border-radius: 16px;
    background: none;
    cursor: pointer;
  }
  & button[aria-pressed='true'] {
    background: ${(p) => p.theme.ink};
    color: ${(p) => p.theme.sheet};
  }
`;

/** Asked once: whether this machine can draw in space at all. */
const drawsInSpace = (() => {
  let can: boolean | undefined;
  return () => {
    can ??= document.createElement('canvas').getContext('webgl2') !== null;
    return can;
  };
})();

/** Bay, nose, core, sheet metal and hoses in space, with the list of all that is in it. */
export function Space(props: {
  lines?: readonly Schemas['PlumbedLine'][];
  outsideMm?: number;
  /** What it is looked at for: the picture begins with that, its surroundings about it. */
  about: 'core' | 'hoses';
  selected: string | undefined;
  onSelect: (name: string | undefined) => void;
}) {
  const { lines, outsideMm, about, selected, onSelect } = props;
  const { car, design } = useBench();
  const bodies = useQuery(queries.space({ car, design })).data;
  const tubes = useMemo<Tube[]>(
    () =>
      (lines ?? []).map((l) => ({
        name: l.name,
        points: [l.fromPort, ...l.points, l.toPort].filter((p) => p !== undefined),
        outsideMm: outsideMm ?? 20,
      })),
    [lines, outsideMm],
  );
  if (!drawsInSpace()) {
    return <Muted>This machine cannot draw in space. The two flat views show the same.</Muted>;
  }
  if (!bodies) {
    return null;
  }
  const core = bodies.filter((b) => b.what === 'CORE' || b.what === 'SHEET' || b.what === 'OPENING');
  const near = [
    ...(about === 'hoses' && tubes.length > 0 ? tubes.flatMap((t) => t.points) : core.flatMap((b) => b.faces.flat())),
    ...bodies.filter((b) => b.what === 'CORE').flatMap((b) => b.faces.flat()),
  ];
  const shown = near.length > 0 ? near : bodies.flatMap((b) => b.faces.flat());
  const names = [...tubes.map((t) => t.name), ...bodies.map((b) => b.name)];
  const press = (name: string) => onSelect(name === selected ? undefined : name);
  return (
    <section aria-label="In space" style={{ display: 'flex', flexDirection: 'column', gap: 8 }}>
      <Suspense fallback={<Muted>The view in space is loaded.</Muted>}>
        <SpacePicture solids={bodies} tubes={tubes} about={shown} selected={selected} onSelect={press} />
      </Suspense>
      <Names aria-label="What is in it">
        {[...new Set(names)].map((name) => (
          <li key={name}>
            <button type="button" aria-pressed={name === selected} onClick={() => press(name)}>
              {name}
            </button>
          </li>
        ))}
      </Names>
    </section>
  );
}
