import { usePreferences } from '../../preferences/preferences';
import styled from 'styled-components';
import { word } from '../../words/words';
import { Fold, Muted } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import type { Line, Plumbed } from './usePlumbing';
import { useMoney } from '../../bench/useMoney';
import { Figure } from '../figure/Figure';

const Strip = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0 0 6px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 0;
  & li {
    border: 1.5px solid ${(p) => p.theme.line};
    border-radius: 3px;
    padding: 5px 9px;
    font-size: 13px;
    background: ${(p) => p.theme.sheet};
  }
  & li + li {
    margin-left: 22px;
    position: relative;
  }
  & li + li::before {
    content: '';
    position: absolute;
    left: -23px;
    top: 50%;
    width: 22px;
    border-top: 3px solid ${(p) => p.theme.ink};
  }
  & li.loose::before {
    border-top-style: dotted;
  }
  & small {
    display: block;
    color: ${(p) => p.theme.soft};
  }
`;

const WISHES = { JOINTS: 'fewest joints', PRICE: 'least price', LOSS: 'least loss' } as const;

/** Chains that are better at something than the one that is drawn. */
function others(line: Line, money: (price: number) => string): string {
  const drawn = line.chain.map((c) => c.number.split(' ').pop());
  const better = new Map<string, string[]>();
  for (const a of line.alternatives) {
    if (a.adaptors.some((n) => !drawn.includes(n))) {
      const key = `${a.end}: ${a.adaptors.join(', then ')}, ${money(a.price)}`;
      better.set(key, [...(better.get(key) ?? []), WISHES[a.wish]]);
    }
  }
  return better.size === 0
    ? 'No other chain has fewer joints, a lower price or a lower loss.'
    : `Other chains: ${[...better].map(([words, at]) => `${words} (${at.join(', ')})`).join('; ')}.`;
}

/** The fitting chains from end to end, every joint with what seals it, and other chains that would do. */
export function Chains({ plumbed }: { plumbed: Plumbed }) {
  const money = useMoney();
  const { show } = usePreferences();
  return (
    <div>
      {plumbed.lines.map((l) => {
        const loose = l.joints.filter((j) => !j.tight);
        return (
          <Fold
            key={l.name}
            name={`Fittings, ${l.name}`}
            short={loose.length > 0 ? `✕ ${loose.length} do not seal` : `${l.joints.length} joints, all tight`}
            open={loose.length > 0}
          >
            <Strip aria-label={`Chain of the ${l.name}`}>
              {l.chain.map((c, i) => (
                <li key={i} className={loose.length > 0 ? 'loose' : undefined}>
                  {c.what}
                  <small>{c.number || c.left || c.right}</small>
                </li>
              ))}
            </Strip>
            {loose.map((j) => (
              <p key={j.between} role="alert" style={{ margin: 0 }}>
                ✕ {j.between}: {j.whyNot}
              </p>
            ))}
            <FigureTable aria-label={`Joints of the ${l.name}`}>
              <thead>
                <tr>
                  <th scope="col">Joint</th>
                  <th scope="col">Sealed by</th>
                  <th scope="col">On it</th>
                  <th scope="col">Wrench</th>
                  <th scope="col">Tighten</th>
                </tr>
              </thead>
              <tbody>
                {l.joints
                  .filter((j) => j.tight)
                  .map((j, i) => (
                    <tr key={i}>
                      <th scope="row">{j.words}</th>
                      <td style={{ whiteSpace: 'normal', textAlign: 'left' }}>{j.seal}</td>
                      <td style={{ whiteSpace: 'normal', textAlign: 'left' }}>{j.onThread}</td>
                      <td>
                        <Figure of="SIZE">{j.wrenchMm === undefined ? '–' : show(j.wrenchMm, 'length')}</Figure>
                      </td>
                      <td style={{ whiteSpace: 'normal', textAlign: 'left' }}>
                        <Figure of="TORQUE">
                          {[
                            j.torqueLowNm !== undefined &&
                              j.torqueHighNm !== undefined &&
                              `${show(j.torqueLowNm, 'torque')} to ${show(j.torqueHighNm, 'torque')}`,
                            j.turn,
                          ]
                            .filter(Boolean)
                            .join(', or ')}
                        </Figure>{' '}
                        {j.makers
                          ? `(the maker: ${j.source}; ${j.oiled ? 'oiled' : 'dry'}; ${word('retorque', j.retorque)})`
                          : `(ours: ${j.source})`}
                      </td>
                    </tr>
                  ))}
              </tbody>
            </FigureTable>
            <Muted>The maker's figure comes before ours. {others(l, money)}</Muted>
          </Fold>
        );
      })}
    </div>
  );
}
