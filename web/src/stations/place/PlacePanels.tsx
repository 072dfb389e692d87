import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import type { CaseDocument, Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { useSettled } from '../../bench/useSettled';
import { useBench } from '../../bench/workbench';
import { Button, Coming, Muted, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { AirCurve } from '../../pictures/AirCurve';
import { useCooler } from '../core/coolerFields';
import { download } from '../../bench/download';
import { PLACES } from '../places';
import { Figure, type FigureKind } from '../figure/Figure';

const SPEEDS = [0, 10, 20, 30, 40, 50, 60, 80, 100, 120, 140, 160, 180];

const Gauges = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 8px 16px;
  margin: 0;
  & dt {
    font-size: 13px;
    color: ${(p) => p.theme.soft};
  }
  & dd {
    margin: 0;
    font-size: 16px;
  }
`;

/** What the position means, in the figures that a builder would take with tape and card. */
export function FitFigures({ fit }: { fit: Schemas['PlacementAnswer'] }) {
  const { say, show } = usePreferences();
  const nearest = fit.clearances[0];
  const figures = [
    ['SHARE_OF_FACE', 'Shaded', `${fit.shadedPercent.toFixed(0)} %`],
    ['OPENING_AREA', 'Opening that feeds it', show(fit.openingCm2, 'area')],
    ['SHARE_OF_FACE', 'Sealing', `${fit.sealingPercent.toFixed(0)} %`],
    ['CLEARANCE', 'Clearance behind crash structure', show(fit.crushClearanceMm, 'length')],
    ['CLEARANCE', 'Above the ground', show(fit.groundClearanceMm, 'length')],
    nearest ? ['CLEARANCE', `To ${nearest.name}`, show(nearest.mm, 'length')] : undefined,
    fit.heatAheadKw > 0 ? ['HEAT_AHEAD', 'Heat ahead of its face', show(fit.heatAheadKw, 'heat')] : undefined,
    fit.behind.length > 0 ? [undefined, 'Warmed air goes on to', fit.behind.join(', ')] : undefined,
    fit.gaps
      ? ['CLEARANCE', 'Gap above, below', `${show(fit.gaps.aboveMm, 'length')}, ${show(fit.gaps.belowMm, 'length')}`]
      : undefined,
    fit.gaps
      ? ['CLEARANCE', 'Gap left, right', `${show(fit.gaps.leftMm, 'length')}, ${show(fit.gaps.rightMm, 'length')}`]
      : undefined,
  ].filter((f): f is [FigureKind | undefined, string, string] => f !== undefined);
  return (
    <>
      {fit.problems.length > 0 && (
        <ul aria-label="Problems of this position" style={{ margin: 0, paddingLeft: 0, listStyle: 'none' }}>
          {fit.problems.map((p) => (
            <li key={say(p)}>▲ {say(p)}</li>
          ))}
        </ul>
      )}
      <Gauges aria-label="Figures of this position">
        {figures.map(([of, name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>
              {of ? (
                <Figure of={of} other>
                  {value}
                </Figure>
              ) : (
                value
              )}
            </dd>
          </div>
        ))}
      </Gauges>
    </>
  );
}

const FILES = [
  { id: 'pdf?paper=A4', name: 'PDF on A4', file: 'template-a4.pdf' },
  { id: 'pdf?paper=LETTER', name: 'PDF on Letter', file: 'template-letter.pdf' },
  { id: 'pdf?paper=SHEET', name: 'PDF, one sheet', file: 'template.pdf' },
  { id: 'svg', name: 'SVG', file: 'template.svg' },
  { id: 'dxf', name: 'DXF', file: 'template.dxf' },
] as const;

/** The card template, without the card. */
export function TemplateFiles() {
  const { show } = usePreferences();
  const { car, design } = useBench();
  const [problem, setProblem] = useState<string>();
  const load = (id: string, file: string) =>
    download(`/api/template/${id}`, { car, design }, file).then(
      () => setProblem(undefined),
      (e: Error) => setProblem(e.message),
    );
  return (
    <>
      <Row>
        {FILES.map((f) => (
          <Button key={f.id} onPress={() => void load(f.id, f.file)}>
            {f.name}
          </Button>
        ))}
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      <Muted>Print at 100 %. Measure the bar of {show(300, 'length')} before anything is cut.</Muted>
    </>
  );
}

const CURVE_HIGH = 220;

const PLACES_HIGH = 250;

export function AirBySpeed() {
  const { car, duty, design } = useBench();
  const asked = { car, design, ambientC: duty.ambientC, altitudeM: duty.altitudeM, speedsKmh: SPEEDS };
  const still = useQuery(queries.air({ ...asked, fanOn: false }));
  const driven = useQuery({ ...queries.air({ ...asked, fanOn: true }), enabled: design.cooler?.fan !== undefined });
  if (!still.data) {
    return still.error ? null : <Coming height={CURVE_HIGH}>Working out the air…</Coming>;
  }
  return <AirCurve still={still.data} driven={design.cooler?.fan ? driven.data : undefined} height={CURVE_HIGH} />;
}

/** The same core at every place: peak and coolant, so that both schools' numbers stand side by side. */
export function PlacesCompared() {
  const { car, duty, design } = useBench();
  const { set } = useCooler();
  const { show } = usePreferences();
  const base = useSettled(
    JSON.stringify({
      car,
      duty,
      design: { ...design, cooler: { ...design.cooler, place: 'GRILLE_AHEAD', placement: undefined } },
    }),
    120,
  );
  const places = useQuery(queries.places(JSON.parse(base) as CaseDocument));
  if (!places.data) {
    return places.error ? null : <Coming height={PLACES_HIGH}>Trying the core at each place…</Coming>;
  }
  return (
    <FigureTable aria-label="Places for this core">
      <thead>
        <tr>
          <th scope="col">Place, with this core as it is sealed and shaded</th>
          <th scope="col">Oil peaks at</th>
          <th scope="col">Coolant at</th>
        </tr>
      </thead>
      <tbody>
        {places.data.map((p) => (
          <tr key={p.place} aria-current={p.place === design.cooler?.place}>
            <th scope="row">
              <PlaceLink chosen={p.place === design.cooler?.place} onPress={() => set({ place: p.place })}>
                {PLACES[p.place]}
              </PlaceLink>
            </th>
            <td>
              <Figure of="PEAK" other={p.place !== design.cooler?.place}>
                {show(p.peakC, 'temperature')}
              </Figure>
            </td>
            <td>
              <Figure of="PEAK_COOLANT" other={p.place !== design.cooler?.place}>
                {show(p.peakCoolantC, 'temperature')}
              </Figure>
            </td>
          </tr>
        ))}
      </tbody>
    </FigureTable>
  );
}

const LinkLook = styled.button`
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  padding: 4px 0;
  text-align: left;
  text-decoration: underline;
  text-decoration-thickness: 1px;
  text-underline-offset: 3px;
  cursor: pointer;
  &:focus-visible {
    outline: 2px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
`;

function PlaceLink({ chosen, onPress, children }: { chosen: boolean; onPress: () => void; children: string }) {
  return (
    <LinkLook type="button" aria-pressed={chosen} onClick={onPress}>
      {children}
    </LinkLook>
  );
}
