import styled from 'styled-components';
import { useMoney } from '../../bench/useMoney';
import { Button, Heading, Muted } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { usePreferences } from '../../preferences/preferences';
import type { Plumbed } from './usePlumbing';
import { Figure } from '../figure/Figure';

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
  & b {
    font-weight: 650;
  }
  & p {
    margin: 2px 0 0;
    font-size: 13.5px;
    color: ${(p) => p.theme.soft};
  }
`;

/** Whether the takeoff fits and the hoses have a way, what the plumbing costs, and what has to be minded. */
export function Consequences({ plumbed, onTurn }: { plumbed: Plumbed; onTurn: (clockDeg: number) => void }) {
  const money = useMoney();
  const { say, show } = usePreferences();
  const { figures, fit } = plumbed;
  return (
    <>
      <section aria-label="Fit of the takeoff" style={{ display: 'flex', flexDirection: 'column', gap: 10 }}>
        {fit ? (
          <>
            <Heading>{fit.misfits.length === 0 ? 'The takeoff fits' : 'The takeoff does not fit'}</Heading>
            {fit.misfits.length === 0 && (
              <Muted>
                {show(fit.engagementMm, 'length')} of thread hold it, {show(fit.stackMm, 'length')} of stack. The two
                gaskets never lie on each other.
              </Muted>
            )}
            {fit.arcs.some((a) => a.arcDeg < 180) && (
              <Muted>
                A wrench swings{' '}
                {fit.arcs
                  .map((a) => `${show(a.arcDeg, 'angle')} at the port ${a.gives ? 'to' : 'from'} the cooler`)
                  .join(', ')}
                .
              </Muted>
            )}
            <List>
              {fit.misfits.map((m) => (
                <li key={say(m.what)}>
                  <b>✕ {say(m.what)}</b>
                  <p>{say(m.why)}</p>
                  <p>{say(m.remedy)}.</p>
                  {m.kind === 'PORT_TOWARDS' && fit.freeClockDeg !== undefined && (
                    <Button onPress={() => onTurn(fit.freeClockDeg ?? 0)}>
                      Turn it to {show(fit.freeClockDeg, 'angle')}
                    </Button>
                  )}
                </li>
              ))}
            </List>
          </>
        ) : (
          <Muted>
            Whether the takeoff goes onto the engine is not looked at yet: compare its thread and gasket with the
            filter's.
          </Muted>
        )}
        {plumbed.lines
          .filter((l) => !l.found)
          .map((l) => (
            <p key={l.name} style={{ margin: 0 }} aria-live="polite">
              ✕ No way for the {l.name}
              {l.inTheWay.length > 0 && <>: {l.inTheWay.join(' or ')} in the way</>}. Move a box, a way-point, the clock
              angle, or take a hose that bends tighter.
            </p>
          ))}
      </section>
      {figures && (
        <FigureTable aria-label="Consequences of the plumbing">
          <tbody>
            {(
              [
                ['ADDED_OIL', 'Added oil', show(figures.addedOilL, 'volume')],
                ['FILL_TIME', 'Time to fill at idle', `${figures.primeSeconds.toFixed(1)} s`],
                ['DRAIN_TIME', 'Time for a full leak to empty the sump', `${figures.drainSeconds.toFixed(1)} s`],
                ['MASS', 'Mass without oil', show(figures.massKg, 'mass', 1)],
                ['PRICE', 'Parts cost', money(figures.price)],
              ] as const
            ).map(([of, name, value]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>
                  <Figure of={of}>{value}</Figure>
                </td>
              </tr>
            ))}
          </tbody>
        </FigureTable>
      )}
      <List aria-label="To be minded">
        {plumbed.notes.map((n) => (
          <li key={n.key}>
            <p>● {say(n)}</p>
          </li>
        ))}
      </List>
    </>
  );
}
