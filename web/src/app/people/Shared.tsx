import { useQuery } from '@tanstack/react-query';
import { useLocation } from 'react-router';
import { queries } from '../../api/queries';
import { FileLink, Heading, Muted, Row } from '../../kit/kit';
import { Lines } from '../../kit/Lines';
import { usePreferences } from '../../preferences/preferences';
import { LIST, Page } from '../Page';
import { dayOf } from '../../words/moments';

/** A car as somebody sees it who was given a link: to be read, with its papers. */
export function Shared() {
  const word = decodeURIComponent(useLocation().hash.slice(1));
  const { say, paper } = usePreferences();
  const car = useQuery({ ...queries.shared(word), retry: false, enabled: word !== '' });
  if (word === '' || car.error) {
    return (
      <Page title="A shared car">
        <p role="alert">▲ {car.error?.message ?? 'This link is not whole: what stands behind # is missing.'}</p>
      </Page>
    );
  }
  if (!car.data) {
    return <p className="opening">Isotherm</p>;
  }
  const { name, builds, care } = car.data;
  const at = `/api/shared/${encodeURIComponent(word)}`;
  const due = care.tasks.filter((t) => t.urgency === 'DUE' || t.urgency === 'SOON');
  return (
    <Page title={name} widest={LIST}>
      <section aria-label="Builds">
        <Heading>What was built</Heading>
        {builds.length === 0 && <Muted>Nothing yet.</Muted>}
        <Lines>
          {builds.map((b) => (
            <li key={b.id}>
              <span>
                <b>{b.name}</b>
                <br />
                <Muted>begun {dayOf(b.startedAt)}</Muted>
              </span>
              <Row>
                <FileLink href={`${at}/builds/${b.id}/hand-over.pdf${paper}`} download="hand-over.pdf">
                  Hand-over paper
                </FileLink>
                <FileLink href={`${at}/builds/${b.id}/hand-over.zip${paper}`} download="hand-over.zip">
                  Everything, with pictures
                </FileLink>
              </Row>
            </li>
          ))}
        </Lines>
      </section>
      <section aria-label="Care">
        <Heading>What is due</Heading>
        {due.length === 0 && <Muted>Nothing just now.</Muted>}
        <Lines>
          {due.map((t) => (
            <li key={t.id}>
              <b>{say(t.what)}</b>
              <span>{t.reasons.map(say).join('; ')}</span>
            </li>
          ))}
        </Lines>
        <Row>
          <FileLink href={`${at}/care.ics${paper}`}>Calendar of what is due</FileLink>
        </Row>
      </section>
      <Muted>
        Figures are estimates with their intervals. The car maker's figures, local rules and qualified people come
        first.
      </Muted>
    </Page>
  );
}
