import { useState } from 'react';
import { usePreferences } from '../../preferences/preferences';
import { AskName, Button, Heading, Muted, Row } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { Entry, KINDS, View, Write, told, words } from './entries';

export function History(props: { care: View; waiting: readonly Entry[]; mayWrite: boolean; write: Write }) {
  const { care, waiting, mayWrite, write } = props;
  const preferences = usePreferences();
  const [asked, setAsked] = useState<Entry>();
  return (
    <>
      <Heading>The care book</Heading>
      {care.entries.length + waiting.length === 0 && <Muted>Nothing was written yet.</Muted>}
      <FigureTable aria-label="The care book">
        <tbody>
          {[...waiting].reverse().map((entry) => (
            <tr key={entry.id}>
              <th scope="row">
                {entry.at.slice(0, 10)}, {entry.who}: {told(entry, care, preferences)}
              </th>
              <td>
                <Muted>waits</Muted>
              </td>
            </tr>
          ))}
          {[...care.entries].reverse().map(({ entry, counts }) => (
            <tr key={entry.id}>
              <th scope="row" style={{ textDecoration: counts || entry.kind === 'STRUCK' ? 'none' : 'line-through' }}>
                {entry.at.slice(0, 10)}, {entry.who}: {told(entry, care, preferences)}
              </th>
              <td>
                {counts && mayWrite && (
                  <Button
                    aria-label={`Does not count: ${KINDS[entry.kind]}, ${entry.at.slice(0, 10)}, ${words(entry, care, preferences.show)}`}
                    onPress={() => setAsked(entry)}
                  >
                    ✕
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </FigureTable>
      <Row>
        <Muted>Nothing is deleted: a correction is an entry of its own.</Muted>
      </Row>
      {asked && (
        <AskName
          title="This entry does not count"
          label="Why not"
          value=""
          longest={2000}
          action="Strike it"
          onClose={() => setAsked(undefined)}
          onName={(text) => write({ kind: 'STRUCK', on: asked.id, text })}
        />
      )}
    </>
  );
}
