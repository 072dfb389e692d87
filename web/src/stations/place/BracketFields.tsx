import { DocumentNumber, DocumentNumbers } from '../../kit/fields';
import { Button, Fold, Pick, TextEntry } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { CORE_FACES, POINTING } from '../faces';
import { SheetPick } from './SheetPick';
import type { Bracket } from './useBrackets';

/** One bracket: its hole on the car, its hole on the core, and its sheet. */
export function BracketFields(props: {
  bracket: Bracket;
  short: string;
  onChange: (bracket: Bracket) => void;
  onRemove: () => void;
}) {
  const { bracket, short, onChange, onRemove } = props;
  const { car, core, mark } = bracket;
  const set = (part: Partial<Bracket>) => onChange({ ...bracket, ...part });
  return (
    <Fold name={`Bracket ${mark}`} short={short} open>
      <Fields>
        <DocumentNumbers
          schema="CarHoleDocument"
          value={car}
          fields={[
            [`${mark} car, across`, 'xMm'],
            [`${mark} car, up`, 'yMm'],
            [`${mark} car, back`, 'zMm'],
            [`${mark} car, hole`, 'holeMm', { step: 0.5, digits: 1 }],
          ]}
          onChange={(part) => set({ car: { ...car, ...part } })}
        />
        <Pick
          label={`${mark} car, face looks`}
          value={car.faces}
          options={POINTING}
          onChange={(faces) => set({ car: { ...car, faces } })}
        />
        <DocumentNumbers
          schema="CoreSideDocument"
          value={core}
          fields={[
            [`${mark} core, right`, 'xMm'],
            [`${mark} core, up`, 'yMm'],
            [`${mark} core, behind the face`, 'zMm'],
            [`${mark} core, hole`, 'holeMm', { step: 0.5, digits: 1 }],
          ]}
          onChange={(part) => set({ core: { ...core, ...part } })}
        />
        <Pick
          label={`${mark} core, face looks`}
          value={core.faces}
          options={CORE_FACES}
          onChange={(faces) => set({ core: { ...core, faces } })}
        />
        <DocumentNumbers
          schema="BracketDocument"
          value={bracket}
          fields={[
            [`${mark} thickness`, 'thicknessMm', { step: 0.5, digits: 1 }],
            [`${mark} bend radius`, 'radiusMm', { step: 0.5, digits: 1 }],
            [`${mark} hole to edge`, 'edgeMm', { step: 1 }],
          ]}
          onChange={(part) => set(part)}
        />
        <DocumentNumber
          label={`${mark} K-factor`}
          schema="BracketDocument"
          field="kFactor"
          digits={2}
          value={bracket.kFactor}
          step={0.01}
          onChange={(kFactor) => set({ kFactor })}
        />
        <TextEntry label="Mark" longest={8} value={mark} onChange={(next) => set({ mark: next || mark })} />
      </Fields>
      <SheetPick mark={mark} value={bracket.sheet} onChange={(sheet) => set({ sheet })} />
      <Button onPress={onRemove}>Remove bracket {mark}</Button>
    </Fold>
  );
}
