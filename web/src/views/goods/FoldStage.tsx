import type { Part } from '@parlor/core/assembly';
import type { GoodSheet } from '@parlor/core/set';
import { useEffect, useRef, useState } from 'react';
import { PerspectiveCamera, Raycaster, type Scene, Vector2, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { NoModel } from '../../ui/index.ts';
import { addBoards, addFolding, emptyScene, type FoldColours, type Folding, foldBy, freeThings, seenFrom } from './foldScene.ts';
import { printOf } from './prints.ts';

type Stage = {
  readonly renderer: WebGLRenderer;
  readonly camera: PerspectiveCamera;
  readonly controls: OrbitControls;
  readonly scene: Scene;
  readonly things: ReturnType<typeof emptyScene>['things'];
  foldings: readonly Folding[];
  /** All that is shown lies no further from the middle, in mm. */
  radius: number;
  turned: boolean;
};

const coloursNow = (): FoldColours => {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return { paper: '#ffffff', inside: '#f3efe6', board: read('oat'), ink: read('ink'), tab: read('sprig') || '#dfe7d3' };
};

/** Depths are told apart best when nothing is left in front of what is seen and behind it: papers lie on one another. */
const draw = ({ renderer, scene, camera, controls, radius }: Stage): void => {
  const away = camera.position.distanceTo(controls.target);
  camera.near = Math.max(0.2, away - radius);
  camera.far = away + radius;
  camera.updateProjectionMatrix();
  renderer.render(scene, camera);
};

const makeStage = (canvas: HTMLCanvasElement): Stage => {
  const renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
  renderer.debug.checkShaderErrors = false;
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  const camera = new PerspectiveCamera(26, 1, 1, 20_000);
  const { scene, things } = emptyScene();
  const stage: Stage = {
    renderer,
    camera,
    controls: new OrbitControls(camera, canvas),
    scene,
    things,
    foldings: [],
    radius: 1,
    turned: false,
  };
  stage.controls.addEventListener('start', () => {
    stage.turned = true;
  });
  stage.controls.addEventListener('change', () => draw(stage));
  return stage;
};

const FROM = new Vector3(-0.46, 0.42, 1).normalize();

/** Looks at the whole from the front left and above, from as far away as its flat net needs while it is folded. */
const frame = (stage: Stage, share: number): void => {
  const { camera, controls, foldings } = stage;
  if (foldings.length === 0) return;
  const { middle, far } = seenFrom(foldings, share, FROM, camera.fov, camera.aspect);
  controls.target.copy(middle);
  camera.position.copy(middle).addScaledVector(FROM, far);
  stage.radius = far * 0.62;
  controls.update();
};

type Props = {
  readonly sheets: readonly { readonly sheet: GoodSheet; readonly copy: number }[];
  /** Boards that stand there with what is folded. */
  readonly boards: readonly Part[];
  readonly share: number;
  readonly label: string;
  readonly came: number;
  readonly night: boolean;
  readonly onTouch: (panel: string, sheet: GoodSheet) => void;
};

/** Paper as it is folded: turn it with a finger or the arrow keys, touch a panel to see what is decided about it. */
export const FoldStage = ({ sheets, boards, share, label, came, night, onTouch }: Props) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const stage = useRef<Stage | null>(null);
  const pressed = useRef<readonly [number, number] | null>(null);
  const shareNow = useRef(share);
  shareNow.current = share;
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (!canvas.current) return undefined;
    try {
      stage.current = makeStage(canvas.current);
    } catch {
      setFailed(true);
      return undefined;
    }
    const current = stage.current;
    const host = canvas.current.parentElement as HTMLElement;
    const observer = new ResizeObserver(() => {
      const { clientWidth, clientHeight } = host;
      current.renderer.setSize(clientWidth, clientHeight, false);
      current.camera.aspect = clientWidth / Math.max(1, clientHeight);
      current.camera.updateProjectionMatrix();
      if (!current.turned) frame(current, shareNow.current);
      draw(current);
    });
    observer.observe(host);
    return () => {
      observer.disconnect();
      current.controls.dispose();
      freeThings(current.things);
      current.renderer.dispose();
      stage.current = null;
    };
  }, []);
  useEffect(() => {
    const current = stage.current;
    if (!current) return;
    // Pictures come later and night changes colours: both are reasons to paint again.
    void came;
    void night;
    freeThings(current.things);
    const colours = coloursNow();
    // Many are seen from afar.
    const most = sheets.length > 12 ? 400 : 1400;
    const prints = new Map<GoodSheet, ReturnType<typeof printOf>>();
    current.foldings = sheets.flatMap(({ sheet, copy }) => {
      const pose = sheet.net.copies[copy]?.pose;
      if (!pose) return [];
      const print = prints.get(sheet) ?? printOf(sheet, colours.paper, most);
      prints.set(sheet, print);
      return [addFolding(current.things, sheet, pose, print, colours)];
    });
    addBoards(current.things, boards, colours);
    for (const folding of current.foldings) foldBy(folding, shareNow.current);
    if (!current.turned) frame(current, shareNow.current);
    draw(current);
  }, [sheets, boards, came, night]);
  useEffect(() => {
    const current = stage.current;
    if (!current) return;
    for (const folding of current.foldings) foldBy(folding, share);
    if (!current.turned) frame(current, share);
    draw(current);
  }, [share]);
  const touch = (x: number, y: number): void => {
    const current = stage.current;
    if (!current) return;
    const { width, height } = current.renderer.domElement.getBoundingClientRect();
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((x / width) * 2 - 1, 1 - (y / height) * 2), current.camera);
    const [hit] = ray.intersectObjects(current.things.children, true);
    for (const { sheet, leaves } of current.foldings) {
      const leaf = leaves.find(({ group }) => group === hit?.object.parent);
      if (!leaf || leaf.face === null) continue;
      const face = sheet.sheet.net.faces[leaf.face];
      // The second mesh of a leaf is its hidden side.
      const behind = leaf.group.children.indexOf(hit?.object as never) === 1;
      const name = behind ? face?.behind : face?.name;
      if (name) onTouch(name, sheet);
    }
  };
  if (failed) return <NoModel />;
  return (
    <canvas
      ref={canvas}
      tabIndex={0}
      role="img"
      data-testid="folding"
      data-share={share.toFixed(2)}
      className="absolute inset-0 w-full h-full touch-none rounded-soft cursor-pointer"
      aria-label={`${label} in three dimensions. Turn it with the arrow keys.`}
      onPointerDown={(event) => {
        pressed.current = [event.clientX, event.clientY];
      }}
      onPointerUp={(event) => {
        const from = pressed.current;
        pressed.current = null;
        if (!from || Math.hypot(event.clientX - from[0], event.clientY - from[1]) > 6) return;
        const { left, top } = event.currentTarget.getBoundingClientRect();
        touch(event.clientX - left, event.clientY - top);
      }}
      onKeyDown={(event) => {
        const turn = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
        const current = stage.current;
        if (!turn || !current) return;
        event.preventDefault();
        current.turned = true;
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
