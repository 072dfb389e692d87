import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import styled, { useTheme } from 'styled-components';
import { BufferAttribute, BufferGeometry, CatmullRomCurve3, DoubleSide, TubeGeometry, Vector3 } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { at, bounds, edges, triangles, type Point, type Solid, type Tube } from './shapes';

const Frame = styled.div`
  position: relative;
  width: 100%;
  height: min(56vh, 460px);
  min-height: 300px;
  border: 1px solid ${(p) => p.theme.line};
  background: ${(p) => p.theme.sheet};
  touch-action: none;
  cursor: grab;
`;

const STEP = Math.PI / 24;
const ZOOM = 1.15;
const SIDES = 10;
/** From the left before the car and above it, the way one stands at an open bonnet. */
const FROM = new Vector3(-0.75, 0.6, -1).normalize();
const FIELD = 35;

interface Props {
  readonly solids: readonly Solid[];
  readonly tubes: readonly Tube[];
  /** Points that the picture begins with. */
  readonly about: readonly Point[];
  readonly selected: string | undefined;
  readonly onSelect: (name: string) => void;
}

/** Everything in space, turned by pointer, touch and keys; what is pressed is selected. */
export default function SpacePicture({ solids, tubes, about, selected, onSelect }: Props) {
  const theme = useTheme();
  const turnRef = useRef<(key: string) => boolean>(undefined);
  const keys = (e: KeyboardEvent) => {
    if (turnRef.current?.(e.key)) {
      e.preventDefault();
    }
  };
  return (
    <Frame
      role="group"
      aria-roledescription="view in space"
      aria-label="View in space: arrow keys turn it, plus and minus bring it nearer and further"
      tabIndex={0}
      onKeyDown={keys}
    >
      <Canvas frameloop="demand" camera={{ fov: FIELD, near: 0.01, far: 50 }} dpr={[1, 2]} aria-hidden>
        <ambientLight intensity={1.4} />
        <directionalLight position={[-2, 4, -3]} intensity={theme.name === 'light' ? 1.6 : 1.1} />
        <Camera about={about} turnRef={turnRef} />
        {solids.map((s) => (
          <Body key={s.name} solid={s} selected={s.name === selected} onSelect={onSelect} />
        ))}
        {tubes.map((t) => (
          <Hose key={t.name} tube={t} selected={t.name === selected} onSelect={onSelect} />
        ))}
      </Canvas>
    </Frame>
  );
}

/** Stands back far enough for what it is about, and turns round its middle. */
function Camera(props: { about: readonly Point[]; turnRef: { current: ((key: string) => boolean) | undefined } }) {
  const { about, turnRef } = props;
  const { camera, gl, invalidate } = useThree();
  const { middle, reach } = bounds(about);
  // Half a hand more or less is no reason to take the view from under a finger.
  const place = [...middle, reach].map((v) => v.toFixed(1)).join();
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    const target = new Vector3(...middle);
    const far = (1.15 * reach) / Math.sin(((FIELD / 2) * Math.PI) / 180);
    camera.position.copy(target).addScaledVector(FROM, far);
    controls.target.copy(target);
    controls.maxDistance = 3 * far;
    controls.minDistance = far / 20;
    controls.enablePan = true;
    controls.update();
    const changed = () => invalidate();
    controls.addEventListener('change', changed);
    turnRef.current = (key) => {
      const away = camera.position.clone().sub(controls.target);
      const side = new Vector3(away.z, 0, -away.x).normalize();
      switch (key) {
        case 'ArrowLeft':
          away.applyAxisAngle(new Vector3(0, 1, 0), -STEP);
          break;
        case 'ArrowRight':
          away.applyAxisAngle(new Vector3(0, 1, 0), STEP);
          break;
        case 'ArrowUp':
          away.applyAxisAngle(side, -STEP);
          break;
        case 'ArrowDown':
          away.applyAxisAngle(side, STEP);
          break;
        case '+':
          away.divideScalar(ZOOM);
          break;
        case '-':
          away.multiplyScalar(ZOOM);
          break;
        default:
          return false;
      }
      camera.position.copy(controls.target).add(away);
      controls.update();
      invalidate();
      return true;
    };
    invalidate();
    return () => {
      turnRef.current = undefined;
      controls.removeEventListener('change', changed);
      controls.dispose();
    };
    // The view stays where it was turned to until what it shows has another size.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [camera, gl, invalidate, place]);
  return null;
}

function geometry(points: Float32Array): BufferGeometry {
  const g = new BufferGeometry();
  g.setAttribute('position', new BufferAttribute(points, 3));
  g.computeVertexNormals();
  return g;
}

/** How solid each is: boxes are quiet, so that what is behind them is seen; the core and sheet metal stand out. */
const OPACITY: Record<Solid['what'], number> = { OPENING: 0.25, BOX: 0.3, HOT: 0.45, CORE: 0.92, SHEET: 0.95 };

function Body(props: { solid: Solid; selected: boolean; onSelect: (name: string) => void }) {
  const { solid, selected, onSelect } = props;
  const theme = useTheme();
  const { faces, what, name } = solid;
  const fill = useMemo(() => geometry(triangles(faces)), [faces]);
  const lines = useMemo(() => geometry(edges(faces)), [faces]);
  useEffect(() => () => fill.dispose(), [fill]);
  useEffect(() => () => lines.dispose(), [lines]);
  const opacity = OPACITY[what];
  const colour = what === 'HOT' ? theme.soft : what === 'CORE' || what === 'SHEET' ? theme.line : theme.faint;
  return (
    <group>
      <mesh
        geometry={fill}
        onClick={(e) => {
          e.stopPropagation();
          onSelect(name);
        }}
      >
        <meshLambertMaterial
          color={selected ? theme.ink : colour}
          transparent={opacity < 0.9}
          opacity={selected ? Math.max(0.6, opacity) : opacity}
          depthWrite={opacity > 0.9}
          side={DoubleSide}
        />
      </mesh>
      <lineSegments geometry={lines}>
        <lineBasicMaterial color={selected || what === 'CORE' || what === 'SHEET' ? theme.ink : theme.line} />
      </lineSegments>
    </group>
  );
}

/** A hose at its true bore: the feed dark, the return light, so that they read apart without colour. */
function Hose(props: { tube: Tube; selected: boolean; onSelect: (name: string) => void }) {
  const { tube, selected, onSelect } = props;
  const theme = useTheme();
  const shape = useMemo(() => {
    const points = tube.points.map((p) => new Vector3(...at(p)));
    return points.length < 2
      ? undefined
      : new TubeGeometry(
          new CatmullRomCurve3(points, false, 'centripetal'),
          points.length * 2,
          tube.outsideMm / 2000,
          SIDES,
        );
  }, [tube]);
  useEffect(() => () => shape?.dispose(), [shape]);
  if (!shape) {
    return null;
  }
  const colour = tube.name === 'feed' ? theme.ink : theme.soft;
  return (
    <mesh
      geometry={shape}
      onClick={(e) => {
        e.stopPropagation();
        onSelect(tube.name);
      }}
    >
      <meshLambertMaterial
        color={colour}
        emissive={theme.ink}
        emissiveIntensity={selected ? 0.35 : 0}
        wireframe={selected}
      />
    </mesh>
  );
}
