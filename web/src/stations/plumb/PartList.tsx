import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, basedOn, read, send, type Schemas } from '../../api/client';
import { fields } from '../../api/descriptions';
import { queries } from '../../api/queries';
import { FileChoice } from '../../kit/FileChoice';
import { Button, Muted, Pick, QuantityField, Row, Sheet, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';

const FAMILIES = [
  { id: 'TAKEOFF', name: 'Takeoffs', schema: 'TakeoffDocument', list: 'takeoffs' },
  { id: 'ADAPTOR', name: 'Adaptors', schema: 'AdaptorDocument', list: 'adaptors' },
  { id: 'HOSE', name: 'Hoses', schema: 'HosePartDocument', list: 'hoses' },
  { id: 'HOSE_END', name: 'Hose ends', schema: 'HoseEndDocument', list: 'ends' },
] as const;

type Family = (typeof FAMILIES)[number]['id'];

/** Columns of a list, named as the importer reads them. */
const COLUMNS: Record<Family, string> = {
  TAKEOFF:
    'maker, number, kind, thread, seal_inner_mm, seal_outer_mm, height_mm, diameter_mm, port_joint, port_size, spacing_deg, gauge_ports, thermostat, heads, price, mass_kg, torque_low_nm, torque_high_nm, turn_low_deg, turn_high_deg, oiled, figure_source, retorque, thread_depth_mm',
  ADAPTOR:
    'maker, number, first_joint, first_size, first_male, second_joint, second_size, second_male, bore_mm, length_mm, angle_deg, price, mass_kg, torque_low_nm, torque_high_nm, turn_low_deg, turn_high_deg, oiled, figure_source, retorque',
  HOSE: 'maker, number, family, dash, bore_mm, outside_mm, bend_radius_mm, rated_bar, max_c, standard_lengths_m, price_per_m, mass_kg_per_m',
  HOSE_END:
    'maker, number, family, dash, angle_deg, joint, size, nose_mm, elbow_mm, tail_mm, insertion_mm, widest_mm, price, mass_kg, torque_low_nm, torque_high_nm, turn_low_deg, turn_high_deg, oiled, figure_source, retorque',
};

/** Own parts and price lists of every family between engine and core. */
export function PartList({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  const [family, setFamily] = useState<Family>('TAKEOFF');
  const [list, setList] = useState<{ text: string; would: Schemas['Imported'] }>();
  const [told, setTold] = useState<string>();
  const path = `/catalogue/plumbing/${family}/import`;
  const preview = async (file: File) => {
    setTold(undefined);
    const text = await file.text();
    setList({ text, would: await send<Schemas['Imported']>(path, text, 'text/plain') });
  };
  const refresh = async () => {
    await client.cancelQueries(queries.parts());
    await client.invalidateQueries(queries.parts());
    await client.invalidateQueries({ queryKey: ['plumb'] });
  };
  const keep = async () => {
    if (list) {
      const done = await send<Schemas['Imported']>(`${path}?keep=true`, list.text, 'text/plain');
      setList(undefined);
      setTold(`${done.added} added, ${done.changed} changed.`);
      await refresh();
    }
  };
  const parts = useQuery(queries.parts());
  const own = parts.data?.own.filter((o) => o.family === family) ?? [];
  const remove = async (o: Schemas['Own']) => {
    await read(
      api.DELETE('/api/catalogue/plumbing/{id}', { params: { path: { id: o.id }, header: basedOn(o.version) } }),
    );
    await refresh();
  };
  const fail = (e: Error) => {
    setList(undefined);
    setTold(`▲ ${e.message}`);
  };
  return (
    <Sheet title="Parts between engine and core" onClose={onClose} widest="640px">
      <Pick label="Family" value={family} options={FAMILIES} onChange={setFamily} />
      <Muted>
        A list as CSV, its first line with these columns: {COLUMNS[family]}. A part that is known changes where the list
        has a figure; maker and number say which one it is.
      </Muted>
      <Row>
        <FileChoice
          label="List of parts"
          action="Choose a list…"
          accept=".csv,text/csv,text/plain"
          onFile={(file) => void preview(file).catch(fail)}
        />
      </Row>
      {list && (
        <section aria-label="What the list would change">
          <p>
            {list.would.added} new, {list.would.changed} changed, {list.would.same} as they are,{' '}
            {list.would.refused.length} refused.
          </p>
          <ul>
            {list.would.refused.slice(0, 12).map((r) => (
              <li key={r.line}>
                Line {r.line}: {r.reason}
              </li>
            ))}
          </ul>
          <Button onPress={() => void keep().catch(fail)}>Take it into the catalogue</Button>
        </section>
      )}
      {told && <p role="status">{told}</p>}
      <OneByHand key={family} family={family} all={parts.data} onDone={refresh} onFail={fail} />
      {own.length > 0 && (
        <ul aria-label="Own parts" style={{ listStyle: 'none', padding: 0, margin: 0 }}>
          {own.map((o) => (
            <li key={o.id}>
              <Row style={{ justifyContent: 'space-between' }}>
                <span>
                  {o.maker} {o.number}
                </span>
                <Button aria-label={`Remove ${o.maker} ${o.number}`} onPress={() => void remove(o).catch(fail)}>
                  Remove
                </Button>
              </Row>
            </li>
          ))}
        </ul>
      )}
      <Row>
        <Button onPress={onClose}>Close</Button>
      </Row>
    </Sheet>
  );
}

type Part = Record<string, unknown> & { maker: string; number: string };

/** A part entered by hand, starting from one of the catalogue; its fields and their ranges are the server's. */
function OneByHand(props: {
  family: Family;
  all: Schemas['All'] | undefined;
  onDone: () => Promise<void>;
  onFail: (e: Error) => void;
}) {
  const { family, all, onDone, onFail } = props;
  const { schema, list } = FAMILIES.find((f) => f.id === family) ?? FAMILIES[0];
  const [part, setPart] = useState<Part>();
  const known = (all?.[list] ?? []) as unknown as readonly Part[];
  const key = (p: Part) => `${p.maker} ${p.number}`;
  const put = (field: string, value: unknown) => setPart((p) => p && { ...p, [field]: value });
  const keep = async () => {
    const there = all?.own.find((o) => o.family === family && o.maker === part?.maker && o.number === part?.number);
    // The fields are those of the family's own schema, which the server reads.
    const init = { params: { header: there ? basedOn(there.version) : {} }, body: part as never };
    await read(api.POST(`/api/catalogue/plumbing/${list}`, init));
    setPart(undefined);
    await onDone();
  };
  return (
    <section aria-label="A part by hand">
      <Pick
        label="Enter one by hand, starting from"
        value={part && known.some((p) => key(p) === key(part)) ? key(part) : 'none'}
        options={[{ id: 'none', name: 'Choose a part' }, ...known.map((p) => ({ id: key(p), name: key(p) }))]}
        onChange={(id) => setPart(known.find((p) => key(p) === id))}
      />
      {part && (
        <>
          <Fields style={{ marginTop: 10 }}>
            {fields(schema)
              .filter((f) => f.kind !== 'list')
              .map((f) => {
                const value = part[f.name];
                if (f.kind === 'text') {
                  return (
                    <TextEntry
                      key={f.name}
                      label={f.label}
                      longest={f.longest}
                      value={typeof value === 'string' ? value : ''}
                      onChange={(v) => put(f.name, v)}
                    />
                  );
                }
                if (f.kind === 'choice') {
                  return (
                    <Pick
                      key={f.name}
                      label={f.label}
                      value={typeof value === 'string' ? value : (f.options[0] ?? '')}
                      options={f.options.map((id) => ({ id, name: id.toLowerCase().replaceAll('_', ' ') }))}
                      onChange={(v) => put(f.name, v)}
                    />
                  );
                }
                return f.kind === 'number' ? (
                  <QuantityField
                    key={f.name}
                    label={f.label}
                    value={typeof value === 'number' ? value : undefined}
                    min={f.min}
                    max={f.max}
                    step={f.max <= 50 ? 0.1 : 1}
                    digits={f.max <= 50 ? 2 : 1}
                    onChange={(v) => put(f.name, v)}
                  />
                ) : (
                  <Toggle key={f.name} label={f.label} value={value === true} onChange={(v) => put(f.name, v)} />
                );
              })}
          </Fields>
          <Row style={{ marginTop: 10 }}>
            <Button onPress={() => void keep().catch(onFail)}>Keep it as an own part</Button>
            <Button onPress={() => setPart(undefined)}>Cancel</Button>
          </Row>
        </>
      )}
    </section>
  );
}
