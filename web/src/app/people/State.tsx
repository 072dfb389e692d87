import { useQuery } from '@tanstack/react-query';
import { queries } from '../../api/queries';
import { Heading, Muted } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { LIST, Page } from '../Page';
import { Link } from 'react-router';
import { NEWS } from '../../guide/news';
import { when } from '../../words/moments';

/** MB below a gigabyte, GB above. */
function size(mb: number): string {
  return mb < 1000 ? `${mb} MB` : `${(mb / 1000).toFixed(1)} GB`;
}

/** How this garage does: what it takes, what was put away, what works just now, of what it is made. */
export function State() {
  const state = useQuery(queries.state());
  if (state.error) {
    return (
      <Page title="State of this garage" back>
        <p role="alert">▲ {state.error.message}</p>
      </Page>
    );
  }
  if (!state.data) {
    return <p className="opening">Isotherm</p>;
  }
  const s = state.data;
  return (
    <Page title="State of this garage" widest={LIST} back>
      <section aria-label="Kept">
        <Heading>What is kept</Heading>
        <FigureTable aria-label="What is kept">
          <tbody>
            <Fact name="Cars" value={`${s.cars}`} />
            <Fact name="Database" value={size(s.databaseMb)} />
            {s.freeMb !== undefined && (
              <Fact
                name="Free on this disk"
                value={size(s.freeMb)}
                told={s.littleRoom ? '▲ Make room: a full disk saves nothing' : undefined}
              />
            )}
            <Fact
              name="Newest backup"
              value={s.backup ? `${when(s.backup.at)}, ${s.backup.mb} MB` : 'None yet'}
              told={
                s.backup === undefined
                  ? '▲ One is made each night while Isotherm runs, or now by ./isotherm backup FILE'
                  : s.backupOld
                    ? '▲ Older than two days'
                    : s.backup.name
              }
            />
            <Fact name="Nightly backups kept" value={`${s.backups}`} />
          </tbody>
        </FigureTable>
        <Muted>A backup on the same disk does not outlive it: copy one elsewhere now and then.</Muted>
      </section>
      <section aria-label="At work">
        <Heading>At work just now</Heading>
        <FigureTable aria-label="At work just now">
          <tbody>
            <Fact name="Long work, waiting or under way" value={`${s.jobs}`} />
            <Fact name="Questions, waiting or under way" value={`${s.questions}`} />
            <Fact name="Loggers listened to" value={`${s.loggers}`} />
            <Fact name="Browsers signed in" value={`${s.signedIn}`} />
            <Fact name="Memory of the server" value={`${size(s.memoryMb)} of ${size(s.memoryMostMb)}`} />
            <Fact name="Started" value={when(s.since)} />
          </tbody>
        </FigureTable>
      </section>
      <section aria-label="Versions">
        <Heading>Versions</Heading>
        <p>
          <Link to="/news">What is new in {NEWS.version}</Link>
        </p>
        <FigureTable aria-label="Versions">
          <tbody>
            <Fact name="Isotherm" value={s.versions.isotherm} />
            <Fact name="Java" value={s.versions.java} />
            <Fact name="PostgreSQL" value={s.versions.database} />
            <Fact name="Tables" value={s.versions.tables} />
          </tbody>
        </FigureTable>
      </section>
    </Page>
  );
}

function Fact({ name, value, told }: { name: string; value: string; told?: string | undefined }) {
  return (
    <tr>
      <th scope="row">
        {name}
        {told && (
          <>
            <br />
            <Muted>{told}</Muted>
          </>
        )}
      </th>
      <td>{value}</td>
    </tr>
  );
}
