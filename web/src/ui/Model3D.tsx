import type { OrderStep } from '@parlor/core/assembly';
import type { MadePiece } from '@parlor/core/set';
import type { Vec3 } from '@parlor/core/shape';
import { useEffect, useRef, useState } from 'react';
import { PerspectiveCamera, Raycaster, Vector2, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import type { WornCloth } from './clothes.ts';
import { cx } from './cx.ts';
import { canvasToDraw } from './modelCanvas.ts';
import {
  addDrapes,
  buildModel,
  type Colours,
  type Drape,
  dispose,
  dressModel,
  type Foretaste,
  foretell,
  light,
  pullApart,
  type SceneModel,
  seeThrough,
  showAll,
  showStep,
} from './modelScene.ts';
import { NoModel } from './NoModel.tsx';

type Props = {
  readonly made: MadePiece;
  readonly name: string;
  readonly dollHeightUm: number;
  /** Where the doll stands in a room, in mm; beside the piece when left out. */
  readonly dollAt?: readonly [number, number, number] | undefined;
  readonly apart?: number;
  readonly tag?: string | null;
  /** Everything is seen through. */
  readonly xray?: boolean;
  readonly steps?: readonly OrderStep[];
  /** How far the piece has been put together; null shows it whole. */
  readonly step?: number | null;
  /** Cloth that hangs and lies there. */
  readonly drapes?: readonly Drape[] | undefined;
  /** What it wears; without it parts are coloured by what they are. */
  readonly clothes?: readonly WornCloth[] | undefined;
  /** Hears where a part was touched: its index, and the point in µm. */
  readonly onTouch?: ((part: number, at: Vec3) => void) | undefined;
  /** What a touch on a part will put on it; it is seen at once, and what is worked out follows. */
  readonly foretaste?: ((part: number) => Foretaste | null) | undefined;
};
export type ModelProps = Props;

type Stage = {
  readonly renderer: WebGLRenderer;
  readonly camera: PerspectiveCamera;
  readonly controls: OrbitControls;
  model: SceneModel | null;
  /** What is freed once what took its place is drawn: so the card keeps the programs that both are drawn by, which take long to make. */
  past: readonly (() => void)[];
  /** Whether it was turned by hand: then it is not turned back. */
  turned: boolean;
  /** The frame that it will be drawn with; 0 for none. */
  asked: number;
  /** The first programs are made beside the page's own work; nothing is drawn until they are. */
  programs: 'none' | 'being made' | 'made';
};

const coloursNow = (): Colours => {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return {
    leaf: read('leaf'),
    oat: read('oat'),
    blush: read('blush'),
    ink: read('ink'),
    lilac: read('lilac'),
    steel: read('steel'),
    sprig: read('moss'),
  };
};

/** Frees what is past, unless its programs are still being made. */
const clear = (stage: Stage): void => {
  if (stage.programs === 'being made') return;
  for (const free of stage.past) free();
  stage.past = [];
};

const drawNow = (stage: Stage): void => {
  const { renderer, camera, model } = stage;
  stage.asked = 0;
  if (!model) return;
  if (stage.programs === 'none') {
    stage.programs = 'being made';
    void renderer.compileAsync(model.scene, camera).then(() => {
      stage.programs = 'made';
      if (stage.model) draw(stage);
      else clear(stage);
    });
  }
  if (stage.programs === 'being made') return;
  renderer.render(model.scene, camera);
  clear(stage);
};

/** Draws with the next frame, once, however much has changed until then. */
const draw = (stage: Stage): void => {
  if (stage.asked === 0) stage.asked = requestAnimationFrame(() => drawNow(stage));
};

const makeStage = (): Stage => {
  const renderer = new WebGLRenderer({ ...canvasToDraw(), antialias: true, alpha: true });
  const canvas = renderer.domElement;
  // Asking a program whether it was made well waits until it is.
  renderer.debug.checkShaderErrors = false;
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  const camera = new PerspectiveCamera(26, 1, 1, 20_000);
  const stage: Stage = {
    renderer,
    camera,
    controls: new OrbitControls(camera, canvas),
    model: null,
    past: [],
    turned: false,
    asked: 0,
    // Where the card cannot tell when it is done, to ask it would be to wait.
    programs: renderer.extensions.has('KHR_parallel_shader_compile') ? 'none' : 'made',
  };
  stage.controls.addEventListener('start', () => {
    stage.turned = true;
  });
  stage.controls.addEventListener('change', () => draw(stage));
  return stage;
};

/** Stages that nobody looks at. The first view makes one, and it goes from view to view with its programs, which take long to make. */
const idle: Stage[] = [];

const leave = (stage: Stage): void => {
  cancelAnimationFrame(stage.asked);
  const { model } = stage;
  if (model) stage.past = [...stage.past, () => dispose(model)];
  Object.assign(stage, { model: null, turned: false, asked: 0 });
  clear(stage);
  stage.renderer.domElement.remove();
  delete stage.renderer.domElement.dataset['foretold'];
  idle.push(stage);
};

/** Looks at the whole piece from the front right and above. */
const frame = ({ camera, controls, model }: Stage): void => {
  if (!model) return;
  const reach = (Math.max(model.size.y, model.size.x / camera.aspect) / 2 / Math.tan((camera.fov * Math.PI) / 360)) * 1.22 + model.size.z;
  controls.target.copy(model.middle);
  camera.position.copy(model.middle).add(new Vector3(-0.42, 0.2, 1).normalize().multiplyScalar(reach));
  camera.far = reach * 6;
  camera.updateProjectionMatrix();
  controls.update();
};

const STEP_TAKES = 450;

/** Brings a step's part to its place in half a second, or at once where movement is not wanted. Gives what stops it. */
const playStep = (show: (share: number) => void): (() => void) => {
  if (matchMedia('(prefers-reduced-motion: reduce)').matches) {
    show(1);
    return () => undefined;
  }
  const began = performance.now();
  let asked = 0;
  const go = (now: number) => {
    const share = Math.min(1, Math.max(0, (now - began) / STEP_TAKES));
    show(1 - (1 - share) ** 3);
    if (share < 1) asked = requestAnimationFrame(go);
  };
  asked = requestAnimationFrame(go);
  return () => cancelAnimationFrame(asked);
};

/** A part that was touched: by index, where, in µm, and the face there, its direction and a point of it in mm. */
type Touch = { readonly part: number; readonly at: Vec3; readonly normal: Vector3; readonly point: Vector3 };

/** The part that lies under a point of the canvas. */
const touched = ({ camera, model, renderer }: Stage, x: number, y: number): Touch | undefined => {
  const { width, height } = renderer.domElement.getBoundingClientRect();
  const ray = new Raycaster();
  ray.setFromCamera(new Vector2((x / width) * 2 - 1, 1 - (y / height) * 2), camera);
  const meshes = model?.bodies.map(({ mesh }) => mesh) ?? [];
  const [hit] = ray.intersectObjects(meshes, false);
  if (!hit?.face) return undefined;
  const part = meshes.indexOf(hit.object as (typeof meshes)[number]);
  const point = hit.point.clone().sub(model?.bodies[part]?.group.position ?? new Vector3());
  return { part, at: [point.x * 1000, point.y * 1000, point.z * 1000], normal: hit.face.normal, point };
};

/** Once what has just been drawn is seen. */
const afterPaint = (then: () => void): void => {
  requestAnimationFrame(() => setTimeout(then));
};

/** Always the very same list, so that nothing is drawn anew for it. */
const NO_STEPS: readonly OrderStep[] = [];

/** A finger that moves further than this turns the model and touches nothing. */
const STILL = 6;

/** The piece at doll size beside the doll: turn it with a finger, or with the arrow keys. Drawn only when something has changed. */
export const Model3D = ({
  made,
  name,
  dollHeightUm,
  dollAt,
  apart = 0,
  tag = null,
  xray = false,
  steps = NO_STEPS,
  step = null,
  drapes,
  clothes,
  onTouch,
  foretaste,
}: Props) => {
  const host = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | null>(null);
  const pressed = useRef<readonly [number, number] | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const place = host.current;
    if (!place) return undefined;
    try {
      stage.current = idle.pop() ?? makeStage();
    } catch {
      setFailed(true);
      return undefined;
    }
    const current = stage.current;
    place.append(current.renderer.domElement);
    const observer = new ResizeObserver(() => {
      const { clientWidth, clientHeight } = place;
      current.renderer.setSize(clientWidth, clientHeight, false);
      current.camera.aspect = clientWidth / Math.max(1, clientHeight);
      current.camera.updateProjectionMatrix();
      if (!current.turned) frame(current);
      draw(current);
    });
    observer.observe(place);
    return () => {
      observer.disconnect();
      leave(current);
      stage.current = null;
    };
  }, []);
  const size = made.assembly.outside.max;
  const shape = `${size.join(' ')} ${dollHeightUm}`;
  const lastShape = useRef('');
  const plain = clothes !== undefined;
  useEffect(() => {
    const current = stage.current;
    if (!current) return;
    const old = current.model;
    if (old) current.past = [...current.past, () => dispose(old)];
    current.model = buildModel(
      made.assembly.parts,
      made.tags,
      new Vector3(...size).divideScalar(1000),
      dollHeightUm,
      coloursNow(),
      plain,
      dollAt ?? null,
    );
    if (drapes) addDrapes(current.model, drapes);
    const place = host.current;
    if (place) current.camera.aspect = place.clientWidth / Math.max(1, place.clientHeight);
    if (lastShape.current !== shape) {
      current.turned = false;
      frame(current);
    }
    lastShape.current = shape;
  }, [made, dollHeightUm, dollAt, shape, size, plain, drapes]);
  useEffect(() => {
    const current = stage.current;
    if (!current?.model || !clothes || made.assembly.parts.length !== current.model.bodies.length) return;
    current.past = [...current.past, dressModel(current.model, clothes)];
    draw(current);
  }, [made, clothes]);
  useEffect(() => {
    const current = stage.current;
    if (!current?.model || made.assembly.parts.length !== current.model.bodies.length) return undefined;
    const { model } = current;
    seeThrough(model, xray);
    light(model, tag, coloursNow());
    if (step === null) {
      showAll(model);
      pullApart(model, apart);
      draw(current);
      return undefined;
    }
    return playStep((share) => {
      showStep(model, steps, step, share);
      draw(current);
    });
  }, [made, steps, apart, tag, xray, step]);
  const label = `${name} in three dimensions, ${made.assembly.parts.length} parts, with the doll beside it. Turn it with the arrow keys.`;
  useEffect(() => {
    const canvas = stage.current?.renderer.domElement;
    if (!canvas) return;
    canvas.tabIndex = 0;
    canvas.className = cx('absolute inset-0 w-full h-full touch-none rounded-soft', onTouch && 'cursor-crosshair');
    canvas.dataset['testid'] = 'model';
    canvas.setAttribute('role', 'img');
    canvas.setAttribute('aria-label', label);
  }, [label, onTouch]);
  if (failed) return <NoModel />;
  return (
    // The canvas in it takes the focus and has the words; what is done to it comes up to here.
    <div
      ref={host}
      className="absolute inset-0"
      onPointerDown={(event) => {
        pressed.current = [event.clientX, event.clientY];
      }}
      onPointerUp={(event) => {
        const from = pressed.current;
        const current = stage.current;
        pressed.current = null;
        if (!from || !current || !onTouch || Math.hypot(event.clientX - from[0], event.clientY - from[1]) > STILL) return;
        const { domElement } = current.renderer;
        const { left, top } = domElement.getBoundingClientRect();
        const hit = touched(current, event.clientX - left, event.clientY - top);
        if (!hit) return;
        const seen = foretaste?.(hit.part);
        if (!seen || !current.model) return onTouch(hit.part, hit.at);
        foretell(current.model, hit.part, hit.normal, hit.point, seen);
        draw(current);
        domElement.dataset['foretold'] = String(hit.part);
        afterPaint(() => onTouch(hit.part, hit.at));
      }}
      onKeyDown={(event) => {
        const turn = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
        const current = stage.current;
        if (!turn || !current) return;
        event.preventDefault();
        const from = current.camera.position.clone().sub(current.controls.target);
        from.applyAxisAngle(new Vector3(0, 1, 0), (turn[0] as number) * 0.12);
        from.y += (turn[1] as number) * from.length() * 0.06;
        current.camera.position.copy(current.controls.target).add(from);
        current.controls.update();
        draw(current);
      }}
    />
  );
};
