import type { Schemas } from '../../api/client';
import { Pick } from '../../kit/kit';
import { word } from '../../words/words';

type Sheet = Schemas['BracketDocument']['sheet'];

const SHEETS = ['ALUMINIUM_5754', 'ALUMINIUM_6082_T6', 'STEEL_DC01', 'STAINLESS_1_4301'] as const;

/** What a piece is folded from. */
export function SheetPick(props: { mark: string; value: Sheet; onChange: (sheet: Sheet) => void }) {
  return (
    <Pick
      label={`${props.mark} sheet`}
      value={props.value}
      options={SHEETS.map((id) => ({ id, name: word('sheetMaterial', id) }))}
      onChange={props.onChange}
    />
  );
}
