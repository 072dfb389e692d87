import { useState } from 'react';
import styled from 'styled-components';
import { usePreferences } from '../../preferences/preferences';
import { useBench } from '../../bench/workbench';
import { Button, Fold, Heading, Muted, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { download } from '../../bench/download';
import { usePresets } from '../../bench/presets';
import { word } from '../../words/words';
import type { Line, Plumbed } from './usePlumbing';
import { Figure } from '../figure/Figure';

const Steps = styled.ol`
  margin: 0;
  padding-left: 20px;
  & li {
    margin: 3px 0;
  }
`;

/** What is cut, marked and turned, line beside line, and the order of work. */
export function CutLists({ plumbed }: { plumbed: Plumbed }) {
  const { paper, say, show } = usePreferences();
  const { car, duty, design: kept } = useBench();
  const { starts } = usePresets();
  const design = { ...kept, plumbing: kept.plumbing ?? starts.plumbing };
  const [problem, setProblem] = useState<string>();
  const lines = plumbed.lines;
  const mm = (v: number | undefined) => (v === undefined ? '–' : show(v, 'length'));
  const rows: readonly (readonly [string, (l: Line) => string])[] = [
    ['Seat to seat', (l) => mm(l.cut?.centreLineMm)],
    ['First end takes', (l) => (l.cut ? `−${mm(l.cut.deductionFromMm)}` : '–')],
    ['Second end takes', (l) => (l.cut ? `−${mm(l.cut.deductionToMm)}` : '–')],
    ['Hose inside the ends', (l) => (l.cut ? `+${mm(l.cut.insertionFromMm + l.cut.insertionToMm)}` : '–')],
    ['Engine movement allowance', (l) => (l.cut ? `+${mm(l.cut.slackMm)}` : '–')],
  ];
  const print = (file: string, units: string) =>
    download(`/api/plumb/${file}${units}`, { car, duty, design }, file).then(
      () => setProblem(undefined),
      (e: Error) => setProblem(e.message),
    );
  return (
    <>
      <Row style={{ justifyContent: 'space-between' }}>
        <Heading>Cut list</Heading>
        <Button onPress={() => void print('cut-list.pdf', paper)}>Print cut list</Button>
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      <FigureTable aria-label="Cut list">
        <thead>
          <tr>
            <th scope="col">Hose</th>
            {lines.map((l) => (
              <th scope="col" key={l.name}>
                {l.name === 'feed' ? 'Feed, to the cooler' : 'Return, from it'}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name}>
              <th scope="row" style={{ whiteSpace: 'nowrap' }}>
                {name}
              </th>
              {lines.map((l) => (
                <td key={l.name}>
                  <Figure of="LENGTH">{value(l)}</Figure>
                </td>
              ))}
            </tr>
          ))}
          <tr aria-current="true">
            <th scope="row">{lines.some((l) => l.cut?.standardMm) ? 'Hose needed' : 'Cut'}</th>
            {lines.map((l) => (
              <td key={l.name}>
                <Figure of="CUT_LENGTH">{l.cut ? `${mm(l.cut.cutMm)} ± ${mm(l.cut.toleranceMm)}` : '–'}</Figure>
                {!l.found && ' ✕'}
              </td>
            ))}
          </tr>
          {lines.some((l) => l.cut?.standardMm) && (
            <tr>
              <th scope="row">Standard line, seat to seat</th>
              {lines.map((l) => (
                <td key={l.name}>
                  <Figure of="CUT_LENGTH">{mm(l.cut?.standardMm)}</Figure>
                </td>
              ))}
            </tr>
          )}
          <tr>
            <th scope="row">Ends</th>
            {lines.map((l) => (
              <td key={l.name}>
                {l.cut?.fromEnd}
                <br />
                {l.cut?.toEnd}
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row">Second elbow, clockwise</th>
            {lines.map((l) => (
              <td key={l.name}>
                <Figure of="ANGLE">{l.cut?.twistDeg === undefined ? '–' : `${l.cut.twistDeg.toFixed(0)}°`}</Figure>
              </td>
            ))}
          </tr>
          {plumbed.level !== 'WIRE' && (
            <tr>
              <th scope="row">A wire along it measures</th>
              {lines.map((l) => (
                <td key={l.name}>
                  <Figure of="LENGTH">{mm(l.cut?.wireMm)}</Figure>
                </td>
              ))}
            </tr>
          )}
          {plumbed.level !== 'WIRE' && (
            <>
              <tr>
                <th scope="row">Tightest bend</th>
                {lines.map((l) => (
                  <td key={l.name}>
                    <Figure of="LENGTH">{mm(l.leastRadiusMm)}</Figure>
                  </td>
                ))}
              </tr>
              <tr>
                <th scope="row">Through</th>
                {lines.map((l) => (
                  <td key={l.name} style={{ whiteSpace: 'normal' }}>
                    {l.holes.length === 0
                      ? 'no hole'
                      : l.holes.map((h) => `${h.name}${h.endPasses ? '' : ', bare, ends on after'}`).join('; ')}
                  </td>
                ))}
              </tr>
            </>
          )}
        </tbody>
      </FigureTable>
      <Muted>
        {plumbed.hoseToBuyM > 0 && (
          <>
            Buy <Figure of="HOSE_TO_BUY">{show(plumbed.hoseToBuyM, 'distance', 1)}</Figure> of hose;{' '}
            <Figure of="LENGTH">{show(plumbed.offcutM * 1000, 'length')}</Figure> is left over.{' '}
          </>
        )}
        {plumbed.pairedMm > 60 && `They run side by side for ${show(plumbed.pairedMm, 'length')}: separators there. `}
        {word('plumbingLevel', plumbed.level, 'rough')}
      </Muted>
      <div>
        {lines.map(
          (l) =>
            l.cut && (
              <Fold key={l.name} name={`Order of work, ${l.name}`} short={`${l.cut.order.length} steps`}>
                <Steps>
                  {l.cut.order.map((o) => (
                    <li key={o.key}>{say(o)}</li>
                  ))}
                </Steps>
                <Muted>Clips at {l.cut.clipsMm.map((c) => mm(c)).join(', ')} from the first collar.</Muted>
              </Fold>
            ),
        )}
      </div>
    </>
  );
}
