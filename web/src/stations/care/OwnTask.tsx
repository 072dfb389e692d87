import { useState } from 'react';
import { range } from '../../api/descriptions';
import { Button, Muted, QuantityField, Row, Sheet as Leaf, TextEntry, Toggle } from '../../kit/kit';
import { HAPPENINGS, type Interval, type Task, type Write } from './entries';

/** A task of one's own, or another interval for one of the plan. */
export function OwnTask({ task, write, onClose }: { task?: Task; write: Write; onClose: () => void }) {
  const [text, setText] = useState('');
  const [interval, setInterval] = useState<Interval>(task ? { ...task.interval } : { months: 12 });
  const says =
    interval.months !== undefined ||
    interval.distanceKm !== undefined ||
    interval.hours !== undefined ||
    (interval.after ?? []).length > 0;
  const title = task ? 'Another interval' : 'Add task';
  return (
    <Leaf title={title} onClose={onClose}>
      <TextEntry
        label={task ? 'Whose figure it is' : 'What is done'}
        value={text}
        longest={200}
        autoFocus
        onChange={setText}
      />
      <Due
        label="By date"
        field="Months"
        value={interval.months}
        otherwise={12}
        range={range('IntervalDocument', 'months')}
        step={1}
        onChange={(months) => setInterval(replaced(interval, 'months', months && Math.round(months)))}
      />
      <Due
        label="By distance"
        field="Distance between"
        quantity="travel"
        value={interval.distanceKm}
        otherwise={5000}
        range={range('IntervalDocument', 'distanceKm')}
        step={500}
        onChange={(km) => setInterval(replaced(interval, 'distanceKm', km))}
      />
      <Due
        label="By oil hours"
        field="Hours of hot oil"
        value={interval.hours}
        otherwise={50}
        range={range('IntervalDocument', 'hours')}
        step={5}
        onChange={(hours) => setInterval(replaced(interval, 'hours', hours))}
      />
      {HAPPENINGS.map((h) => (
        <Toggle
          key={h.id}
          label={`After: ${h.name}`}
          value={(interval.after ?? []).includes(h.id)}
          onChange={(on) =>
            setInterval({
              ...interval,
              after: on ? [...(interval.after ?? []), h.id] : (interval.after ?? []).filter((a) => a !== h.id),
            })
          }
        />
      ))}
      <Muted>What comes first counts. The maker's interval comes before yours and ours.</Muted>
      <Row>
        <Button
          isDisabled={!says || text.trim() === ''}
          onPress={() => {
            write({ kind: 'TASK', text: text.trim(), interval, ...(task ? { on: task.id } : {}) });
            onClose();
          }}
        >
          {task ? 'Use this interval' : 'Add task'}
        </Button>
        <Button onPress={onClose}>Cancel</Button>
      </Row>
    </Leaf>
  );
}

function replaced(interval: Interval, field: 'months' | 'distanceKm' | 'hours', value: number | undefined): Interval {
  const rest = Object.fromEntries(Object.entries(interval).filter(([name]) => name !== field)) as Interval;
  return value === undefined ? rest : { ...rest, [field]: value };
}

function Due(props: {
  label: string;
  field: string;
  quantity?: 'travel';
  value: number | undefined;
  otherwise: number;
  range: { min: number; max: number };
  step: number;
  onChange: (value: number | undefined) => void;
}) {
  const { label, field, quantity, value, otherwise, range: allowed, step, onChange } = props;
  return (
    <>
      <Toggle label={label} value={value !== undefined} onChange={(on) => onChange(on ? otherwise : undefined)} />
      {value !== undefined && (
        <QuantityField
          label={field}
          {...(quantity ? { quantity } : {})}
          value={value}
          min={allowed.min}
          max={allowed.max}
          step={step}
          onChange={onChange}
        />
      )}
    </>
  );
}
