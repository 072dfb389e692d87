import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, read, basedOn, send, ApiError, type Schemas } from '../../api/client';
import { queries } from '../../api/queries';
import { usePreferences } from '../../preferences/preferences';
import { FileChoice } from '../../kit/FileChoice';
import { Button, Muted, Pick, Row, Sheet } from '../../kit/kit';
import { FigureTable } from '../../kit/layout';
import { useCooler } from './coolerFields';
import { useMoney } from '../../bench/useMoney';
import { OwnEntry } from './OwnEntry';
import { isCore, useCatalogue } from './PriceOfCore';
import { Part } from './part';

type Entry = Schemas['Entry'];

const words = (part: Part, show: (mm: number, quantity: 'length') => string) =>
  `${part.rows} × ${show(part.widthMm, 'length')}, ${part.maker} ${part.number}`;

/** Cores to buy: the shipped ones, own entries, and a price list. */
export function Catalogue({ onClose }: { onClose: () => void }) {
  const money = useMoney();
  const { cooler, set } = useCooler();
  const { show } = usePreferences();
  const catalogue = useCatalogue();
  const client = useQueryClient();
  const [maker, setMaker] = useState('all');
  const [adding, setAdding] = useState(false);
  const [list, setList] = useState<{ text: string; told: Schemas['Imported'] }>();
  const [problem, setProblem] = useState<string>();
  const again = () => client.invalidateQueries(queries.cores());
  const tell = (e: unknown) =>
    setProblem(
      e instanceof ApiError && e.problems.length > 0
        ? e.problems.map((p) => `${p.path.slice(1)} ${p.message}`).join('; ')
        : e instanceof Error
          ? e.message
          : String(e),
    );
  const preview = async (chosen: File) => {
    setProblem(undefined);
    try {
      const text = await chosen.text();
      setList({
        text,
        told: await send<Schemas['Imported']>('/catalogue/cores/import', text, 'text/plain;charset=utf-8'),
      });
    } catch (e) {
      tell(e);
    }
  };
  const keep = async () => {
    if (list) {
      try {
        await send('/catalogue/cores/import?keep=true', list.text, 'text/plain;charset=utf-8');
        setList(undefined);
        await again();
      } catch (e) {
        tell(e);
      }
    }
  };
  const remove = async (e: Entry) => {
    try {
      await read(
        api.DELETE('/api/catalogue/cores/{id}', { params: { path: { id: e.id ?? '' }, header: basedOn(e.version) } }),
      );
      await again();
    } catch (x) {
      tell(x);
    }
  };
  const take = ({ part: p, efficacyPercent }: Entry) => {
    set({
      efficacyPercent,
      construction: p.construction,
      rows: p.rows,
      widthMm: p.widthMm,
      depthMm: p.depthMm,
      passes: p.passes,
      detail: p.detail,
    });
    onClose();
  };
  const entries = catalogue.data ?? [];
  const makers = [...new Set(entries.map((e) => e.part.maker))];
  const shown = entries.filter((e) => maker === 'all' || e.part.maker === maker);
  return (
    <Sheet title="Cores to buy" onClose={onClose} widest="860px">
      <Row>
        <div style={{ minWidth: 200 }}>
          <Pick
            label="Maker"
            value={maker}
            options={[{ id: 'all', name: 'All makers' }, ...makers.map((m) => ({ id: m, name: m }))]}
            onChange={setMaker}
          />
        </div>
        <Button onPress={() => setAdding((a) => !a)}>Own entry…</Button>
        <FileChoice
          label="Price list"
          action="Import price list…"
          accept=".csv,.txt,.tsv"
          onFile={(chosen) => void preview(chosen)}
        />
      </Row>
      {problem && <p role="alert">▲ {problem}</p>}
      {list && (
        <div>
          <p style={{ margin: '0 0 8px' }}>
            {list.told.added} new, {list.told.changed} changed, {list.told.same} as before
            {list.told.refused.length > 0 && `, ${list.told.refused.length} cannot be taken`}.
          </p>
          <ul style={{ margin: '0 0 8px', paddingLeft: 20 }}>
            {list.told.refused.slice(0, 12).map((r) => (
              <li key={r.line}>
                Line {r.line}: {r.reason}
              </li>
            ))}
          </ul>
          <Row>
            <Button onPress={() => void keep()} isDisabled={list.told.added + list.told.changed === 0}>
              Keep the list
            </Button>
            <Button onPress={() => setList(undefined)}>Cancel</Button>
          </Row>
        </div>
      )}
      {adding && (
        <OwnEntry
          onDone={async (part) => {
            try {
              setProblem(undefined);
              const there = entries.find((e) => e.id && e.part.maker === part.maker && e.part.number === part.number);
              await read(
                api.POST('/api/catalogue/cores', {
                  params: { header: there ? basedOn(there.version) : {} },
                  body: part,
                }),
              );
              setAdding(false);
              await again();
            } catch (e) {
              tell(e);
            }
          }}
        />
      )}
      <div style={{ maxHeight: '46vh', overflow: 'auto' }} tabIndex={0} role="region" aria-label="List of cores">
        <FigureTable aria-label="Cores">
          <thead>
            <tr>
              <th scope="col">Core</th>
              <th scope="col">Made</th>
              <th scope="col">Outside width</th>
              <th scope="col">Price</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {shown.map((e) => (
              <tr
                key={`${e.part.maker} ${e.part.number}`}
                aria-current={cooler !== undefined && isCore(e.part, cooler)}
              >
                <th scope="row">{words(e.part, show)}</th>
                <td>{e.part.construction.toLowerCase().replaceAll('_', ' ')}</td>
                <td>{show(e.part.widthMm + 2 * (e.part.detail?.tankMm ?? 20), 'length')}</td>
                <td>{money(e.part.price)}</td>
                <td>
                  <Row style={{ justifyContent: 'flex-end', flexWrap: 'nowrap' }}>
                    {e.id && (
                      <Button aria-label={`Remove ${words(e.part, show)}`} onPress={() => void remove(e)}>
                        Remove
                      </Button>
                    )}
                    <Button aria-label={`Take ${words(e.part, show)}`} isDisabled={!cooler} onPress={() => take(e)}>
                      Take it
                    </Button>
                  </Row>
                </td>
              </tr>
            ))}
          </tbody>
        </FigureTable>
      </div>
      <Row>
        <Muted>Makers and prices that ship with Isotherm are invented.</Muted>
        <Button onPress={onClose}>Close</Button>
      </Row>
    </Sheet>
  );
}
