// What small things are shown on in three dimensions: a camera that is led round them by a finger or the arrow keys. Millimetres.
import { type Group, PerspectiveCamera, type Scene, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { emptyScene } from './foldScene.ts';
import { FROM } from './seen.ts';

export type Turntable = {
  readonly renderer: WebGLRenderer;
  readonly camera: PerspectiveCamera;
  readonly controls: OrbitControls;
  readonly scene: Scene;
  readonly things: Group;
  /** All that is shown lies no further from the middle. */
  radius: number;
  turned: boolean;
};

/** Depths are told apart best when nothing is left in front of what is seen and behind it: papers lie on one another. */
export const drawTable = ({ renderer, scene, camera, controls, radius }: Turntable): void => {
  const away = camera.position.distanceTo(controls.target);
  camera.near = Math.max(0.2, away - radius);
  camera.far = away + radius;
  camera.updateProjectionMatrix();
  renderer.render(scene, camera);
};

export const makeTable = (canvas: HTMLCanvasElement): Turntable => {
  const renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
  renderer.debug.checkShaderErrors = false;
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  const camera = new PerspectiveCamera(26, 1, 1, 20_000);
  const table: Turntable = { renderer, camera, controls: new OrbitControls(camera, canvas), ...emptyScene(), radius: 1, turned: false };
  table.controls.addEventListener('start', () => {
    table.turned = true;
  });
  table.controls.addEventListener('change', () => drawTable(table));
  return table;
};

/** Looks at a middle from so far away. */
export const lookAt = (table: Turntable, middle: Vector3, far: number): void => {
  table.controls.target.copy(middle);
  table.camera.position.copy(middle).addScaledVector(FROM, far);
  table.radius = far * 0.62;
  table.controls.update();
};

/** Fits the picture to its frame whenever that changes. */
export const fitTable = (table: Turntable, canvas: HTMLCanvasElement, aim: () => void): (() => void) => {
  const host = canvas.parentElement as HTMLElement;
  const observer = new ResizeObserver(() => {
    const { clientWidth, clientHeight } = host;
    table.renderer.setSize(clientWidth, clientHeight, false);
    table.camera.aspect = clientWidth / Math.max(1, clientHeight);
    table.camera.updateProjectionMatrix();
    if (!table.turned) aim();
    drawTable(table);
  });
  observer.observe(host);
  return () => observer.disconnect();
};

const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Turns it by an arrow key; false for any other key. */
export const turnByKey = (table: Turntable, key: string): boolean => {
  const way = WAYS[key];
  if (!way) return false;
  table.turned = true;
  const from = table.camera.position.clone().sub(table.controls.target);
  from.applyAxisAngle(new Vector3(0, 1, 0), way[0] * 0.12);
  from.y += way[1] * from.length() * 0.06;
  table.camera.position.copy(table.controls.target).add(from);
  table.controls.update();
  drawTable(table);
  return true;
};
