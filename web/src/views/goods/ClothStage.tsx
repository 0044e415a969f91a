import type { Part } from '@parlor/core/assembly';
import { mainColour } from '@parlor/core/cover';
import type { ClothThing, Sewing } from '@parlor/core/piece';
import { clothFor } from '@parlor/core/piece';
import { artMarks } from '@parlor/core/print';
import { colourOfCloth, looksOf } from '@parlor/core/set';
import { turnUpright, type Vec3 } from '@parlor/core/shape';
import { useEffect, useRef, useState } from 'react';
import { CanvasTexture, Group, Matrix4, RepeatWrapping, SRGBColorSpace, Vector3 } from 'three';
import { useAppSelector, useSet } from '../../state/index.ts';
import { NoModel, paintedMarks } from '../../ui/index.ts';
import { addSewn, type ClothLook, pointsOfSewn } from './clothScene.ts';
import { addBoards, freeThings } from './foldScene.ts';
import { farFor, middleOf } from './seen.ts';
import { drawTable, fitTable, lookAt, makeTable, type Turntable, turnByKey } from './turntable.ts';

/** Where a thing is: its anchor comes to a spot, and it is turned about the upright. */
export type Spot = { readonly anchor: Vec3; readonly at: Vec3; readonly turn: readonly [number, number] };

type Props = {
  readonly thing: ClothThing;
  readonly sewing: Sewing;
  /** Boards and sticks of it. */
  readonly own: readonly Part[];
  /** What it lies or hangs on, in the space of that, and where on it. */
  readonly host: readonly Part[];
  readonly spot: Spot | null;
  readonly label: string;
  readonly came: number;
  readonly night: boolean;
};

/** One picture of a print is so large. */
const ACROSS = 60_000;

/** What the thing's cloths look like. */
const useLooks = (thing: ClothThing, came: number): Readonly<Record<'main' | 'second', () => ClothLook>> => {
  const set = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  void came;
  const look = (id: string | null) => (): ClothLook => {
    const cloth = clothFor(set.cloths, id);
    const colour = colourOfCloth(set, id);
    const print = derived && cloth.print !== null ? looksOf(set, derived).get(cloth.print) : undefined;
    if (!print) return { colour, print: null };
    const window = { x0: 0, y0: 0, x1: ACROSS, y1: ACROSS };
    const marks = artMarks({ art: { cos: 1, sin: 0, dx: 0, dy: 0 }, fit: window }, print, window);
    const texture = new CanvasTexture(paintedMarks(marks, window, mainColour(print), 12, 720));
    texture.colorSpace = SRGBColorSpace;
    texture.wrapS = RepeatWrapping;
    texture.wrapT = RepeatWrapping;
    texture.anisotropy = 8;
    return { colour, print: { texture, across: ACROSS } };
  };
  return { main: look(thing.cloths.main), second: look(thing.cloths.second ?? thing.cloths.main) };
};

/** Brings what stands by itself to its spot. */
const matrixTo = ({ anchor, at, turn: [cos, sin] }: Spot): Matrix4 => {
  const turn = turnUpright(cos, sin);
  const [x, z] = [turn([1, 0, 0]), turn([0, 0, 1])];
  const moved = turn([-anchor[0], -anchor[1], -anchor[2]]);
  const matrix = new Matrix4().makeBasis(new Vector3(...x), new Vector3(0, 1, 0), new Vector3(...z));
  return matrix.setPosition((at[0] + moved[0]) / 1000, (at[1] + moved[1]) / 1000, (at[2] + moved[2]) / 1000);
};

/** A sewn thing, by itself or where it lies and hangs: turn it with a finger or the arrow keys. */
export const ClothStage = ({ thing, sewing, own, host, spot, label, came, night }: Props) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const stage = useRef<Turntable | null>(null);
  const [failed, setFailed] = useState(false);
  const looks = useLooks(thing, came);
  const looksNow = useRef(looks);
  looksNow.current = looks;
  const aim = useRef<() => void>(() => undefined);
  useEffect(() => {
    if (!canvas.current) return undefined;
    try {
      stage.current = makeTable(canvas.current);
    } catch {
      setFailed(true);
      return undefined;
    }
    const current = stage.current;
    const leave = fitTable(current, canvas.current, () => aim.current());
    return () => {
      leave();
      current.controls.dispose();
      freeThings(current.things);
      current.renderer.dispose();
      stage.current = null;
    };
  }, []);
  const { cloths, palette, finishes } = useSet();
  useEffect(() => {
    const current = stage.current;
    if (!current) return;
    // Pictures come later, night and the palette change colours: all are reasons to paint again.
    void [came, night, cloths, palette, finishes];
    freeThings(current.things);
    const style = getComputedStyle(document.documentElement);
    const colour = (name: string): string => style.getPropertyValue(`--${name}`).trim();
    const colours = { paper: '#ffffff', inside: '#f3efe6', board: colour('oat'), ink: colour('ink'), tab: colour('sprig') || '#dfe7d3' };
    const group = new Group();
    current.things.add(group);
    const shown = { main: looksNow.current.main(), second: looksNow.current.second() };
    for (const at of sewing.copies) addSewn(group, sewing.pattern, at, shown, colours.ink);
    addBoards(group, own, colours);
    const matrix = spot ? matrixTo(spot) : new Matrix4();
    group.matrixAutoUpdate = false;
    group.matrix.copy(matrix);
    if (spot) addBoards(current.things, host, colours);
    const points = sewing.copies.flatMap((at) => pointsOfSewn(sewing.pattern, at)).map((point) => point.applyMatrix4(matrix));
    const held = spot ? host.flatMap(({ pose: { origin } }) => [new Vector3(origin[0] / 1000, origin[1] / 1000, origin[2] / 1000)]) : [];
    aim.current = () => {
      const all = [...points, ...held];
      const middle = middleOf(all);
      lookAt(current, middle, farFor(all, middle, current.camera) * 1.12);
    };
    if (!current.turned) aim.current();
    drawTable(current);
  }, [sewing, own, host, spot, came, night, cloths, palette, finishes]);
  if (failed) return <NoModel />;
  return (
    <canvas
      ref={canvas}
      tabIndex={0}
      role="img"
      data-testid="sewn"
      data-patches={sewing.pattern.patches.length * sewing.copies.length}
      className="absolute inset-0 w-full h-full touch-none rounded-soft cursor-grab"
      aria-label={`${label} in three dimensions, sewn. Turn it with the arrow keys.`}
      onKeyDown={(event) => {
        if (stage.current && turnByKey(stage.current, event.key)) event.preventDefault();
      }}
    />
  );
};
