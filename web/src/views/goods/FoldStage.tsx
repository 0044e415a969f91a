import type { Part } from '@parlor/core/assembly';
import type { GoodSheet } from '@parlor/core/set';
import { useEffect, useRef, useState } from 'react';
import { Raycaster, Vector2 } from 'three';
import { NoModel } from '../../ui/index.ts';
import { addBoards, addFolding, type FoldColours, type Folding, foldBy, freeThings, seenFrom } from './foldScene.ts';
import { printOf } from './prints.ts';
import { drawTable, fitTable, lookAt, makeTable, type Turntable, turnByKey } from './turntable.ts';

type Stage = Turntable & { foldings: readonly Folding[] };

const coloursNow = (): FoldColours => {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return { paper: '#ffffff', inside: '#f3efe6', board: read('oat'), ink: read('ink'), tab: read('sprig') || '#dfe7d3' };
};

/** Looks at the whole, from as far away as its flat net needs while it is folded. */
const frame = (stage: Stage, boards: readonly Part[], share: number): void => {
  if (stage.foldings.length + boards.length === 0) return;
  const { middle, far } = seenFrom(stage.foldings, boards, share, stage.camera);
  lookAt(stage, middle, far);
};

const NONE: readonly Part[] = [];

type Props = {
  readonly sheets: readonly { readonly sheet: GoodSheet; readonly copy: number }[];
  /** Boards that stand there with what is folded. */
  readonly boards: readonly Part[];
  /** Whether all of those boards are to be seen; otherwise only what is folded is looked at. */
  readonly whole?: boolean;
  readonly share: number;
  readonly label: string;
  readonly came: number;
  readonly night: boolean;
  readonly onTouch: (panel: string, sheet: GoodSheet) => void;
};

/** Paper as it is folded: turn it with a finger or the arrow keys, touch a panel to see what is decided about it. */
export const FoldStage = ({ sheets, boards, whole = false, share, label, came, night, onTouch }: Props) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const stage = useRef<Stage | null>(null);
  const pressed = useRef<readonly [number, number] | null>(null);
  const shareNow = useRef(share);
  shareNow.current = share;
  const seen = whole ? boards : NONE;
  const boardsNow = useRef(seen);
  boardsNow.current = seen;
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (!canvas.current) return undefined;
    try {
      stage.current = Object.assign(makeTable(canvas.current), { foldings: [] as readonly Folding[] });
    } catch {
      setFailed(true);
      return undefined;
    }
    const current = stage.current;
    const leave = fitTable(current, canvas.current, () => frame(current, boardsNow.current, shareNow.current));
    return () => {
      leave();
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
    if (!current.turned) frame(current, boardsNow.current, shareNow.current);
    drawTable(current);
  }, [sheets, boards, came, night]);
  useEffect(() => {
    const current = stage.current;
    if (!current) return;
    for (const folding of current.foldings) foldBy(folding, share);
    if (!current.turned) frame(current, boardsNow.current, share);
    drawTable(current);
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
        if (stage.current && turnByKey(stage.current, event.key)) event.preventDefault();
      }}
    />
  );
};
