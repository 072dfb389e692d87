import { Slider as AriaSlider, SliderOutput, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import { focusRing } from './look';

const SlideLook = styled(AriaSlider)`
  & .track {
    height: 38px;
    position: relative;
    cursor: pointer;
  }
  & .track::before {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    top: 18px;
    height: 2px;
    background: ${(p) => p.theme.line};
  }
  & .thumb {
    top: 50%;
    width: 20px;
    height: 30px;
    border-radius: 4px;
    background: ${(p) => p.theme.ink};
    border: 2px solid ${(p) => p.theme.sheet};
    touch-action: none;
    ${focusRing}
  }
`;

export function Slide(props: {
  label: string;
  value: number;
  min: number;
  max: number;
  onChange: (value: number) => void;
}) {
  return (
    <SlideLook
      aria-label={props.label}
      value={props.value}
      minValue={props.min}
      maxValue={props.max}
      onChange={(v) => props.onChange(v as number)}
    >
      <SliderTrack className="track">
        <SliderThumb className="thumb" />
      </SliderTrack>
      <SliderOutput hidden />
    </SlideLook>
  );
}
