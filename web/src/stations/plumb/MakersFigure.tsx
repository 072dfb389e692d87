import type { Schemas } from '../../api/client';
import { DocumentNumber } from '../../kit/fields';
import { Fold, Pick, TextEntry, Toggle } from '../../kit/kit';
import { Fields } from '../../kit/layout';
import { usePreferences } from '../../preferences/preferences';
import { word } from '../../words/words';

type Figure = Schemas['MakersFigureDocument'];

const RETORQUE = ['NOT_SAID', 'NEVER', 'COLD_AFTER_FIRST_HEAT', 'COLD_AFTER_FIRST_DRIVE', 'EACH_OIL_CHANGE'] as const;

/** What a part's maker says of tightening it: it comes before every figure of ours. */
export function MakersFigure(props: {
  name: string;
  figure: Figure | undefined;
  onChange: (figure: Figure | undefined) => void;
}) {
  const { name, figure, onChange } = props;
  const { show } = usePreferences();
  const high = figure?.torqueHighNm;
  const set = (change: Partial<Figure>) => onChange({ ...figure, ...change });
  return (
    <Fold name={name} short={high === undefined ? 'none from its maker' : `to ${show(high, 'torque')}`}>
      <Fields>
        <DocumentNumber
          label="Least torque"
          schema="MakersFigureDocument"
          field="torqueLowNm"
          quantity="torque"
          value={figure?.torqueLowNm}
          step={1}
          onChange={(torqueLowNm) =>
            set({ torqueLowNm, torqueHighNm: Math.max(torqueLowNm, figure?.torqueHighNm ?? torqueLowNm) })
          }
        />
        <DocumentNumber
          label="Greatest torque"
          schema="MakersFigureDocument"
          field="torqueHighNm"
          quantity="torque"
          value={high}
          step={1}
          onChange={(torqueHighNm) =>
            set({ torqueHighNm, torqueLowNm: Math.min(torqueHighNm, figure?.torqueLowNm ?? torqueHighNm) })
          }
        />
        <TextEntry
          label="Where it is from"
          longest={120}
          value={figure?.source ?? ''}
          onChange={(source) => set({ source })}
        />
        <Toggle label="Oiled thread" value={figure?.oiled !== false} onChange={(oiled) => set({ oiled })} />
      </Fields>
      <Pick
        label="Tightened again"
        value={figure?.retorque ?? 'NOT_SAID'}
        options={RETORQUE.map((id) => ({ id, name: word('retorque', id) }))}
        onChange={(retorque) => set({ retorque })}
      />
    </Fold>
  );
}
