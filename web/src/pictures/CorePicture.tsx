import styled, { useTheme } from 'styled-components';
import type { Schemas } from '../api/client';
import { CoreDetails } from './CoreDetails';
import { usePreferences } from '../preferences/preferences';
import { useWidth } from './useWidth';

const Frame = styled.figure`
  margin: 0;
  & svg {
    display: block;
    overflow: visible;
  }
  & text {
    font-size: 12px;
    fill: ${(p) => p.theme.soft};
  }
`;

interface Props {
  readonly rows: number;
  readonly widthMm: number;
  readonly outsideWidthMm: number;
  readonly heightMm: number;
  readonly shadedPercent: number;
  readonly height: number;
  /** Its ports and holes, once they are known. */
  readonly layout: Schemas['CoreSheetDocument'] | undefined;
}

/** Largest core that the drawing's scale leaves room for, mm; larger ones shrink the scale. */
const ROOM_MM = { width: 380, height: 272 };
const LABEL = 52;
const FOOT = 20;

/** The core to scale: its rows, its tanks, and the part of its face that gets no air. */
export function CorePicture({ rows, widthMm, outsideWidthMm, heightMm, shadedPercent, height, layout }: Props) {
  const theme = useTheme();
  const { show } = usePreferences();
  const [ref, width] = useWidth();
  const scale = Math.min(
    (width - LABEL) / Math.max(ROOM_MM.width, outsideWidthMm),
    (height - FOOT - 2) / Math.max(ROOM_MM.height, heightMm),
  );
  const tall = heightMm * scale;
  const wide = outsideWidthMm * scale;
  const finned = widthMm * scale;
  const tank = (wide - finned) / 2;
  const left = LABEL + (width - LABEL - wide) / 2;
  const top = height - FOOT - tall;
  const pitch = tall / (rows + 0.55);
  return (
    <Frame ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Core of ${rows} rows, ${show(outsideWidthMm, 'length')} wide with its tanks, ${show(heightMm, 'length')} high, ${shadedPercent} % of its face shaded`}
      >
        <defs>
          <pattern id="shade" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line y2="7" stroke={theme.ink} strokeWidth="1.6" />
          </pattern>
        </defs>
        {Array.from({ length: rows }, (_, i) => (
          <rect
            key={i}
            x={left + tank}
            width={finned}
            y={top + pitch * (0.55 + i)}
            height={pitch * 0.44}
            fill={theme.line}
          />
        ))}
        {[left, left + tank + finned].map((x) => (
          <rect key={x} x={x} y={top} width={tank} height={tall} fill={theme.press} stroke={theme.ink} />
        ))}
        <rect x={left + tank} y={top} width={finned} height={tall} fill="none" stroke={theme.ink} />
        {shadedPercent > 0 && (
          <g>
            <title>{`${shadedPercent} % of the face gets no air`}</title>
            <rect
              x={left + tank}
              y={top}
              width={finned}
              height={(tall * shadedPercent) / 100}
              fill="url(#shade)"
              opacity={0.8}
            />
          </g>
        )}
        <CoreDetails
          layout={layout}
          x={(mm) => left + wide / 2 + mm * scale}
          y={(mm) => top + tall / 2 - mm * scale}
          scale={scale}
        />
        <text x={left + wide / 2} y={height - 5} textAnchor="middle">
          {show(outsideWidthMm, 'length')} over the tanks
        </text>
        <text x={left - 8} y={top + tall / 2 + 4} textAnchor="end">
          {show(heightMm, 'length')}
        </text>
      </svg>
    </Frame>
  );
}
