// µm, doll size.
import { type Assembly, boxOf, findInterference, type Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import type { Means } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Built } from '../parts/built.ts';
import { extra } from '../parts/extra.ts';
import type { Space } from '../parts/panels.ts';
import { faceFrame, frameOpeningsOf, withHoles, withWorktop } from './additions.ts';
import { fill } from './bays.ts';
import { carcassPanels, footRoom, lidMotion } from './carcass.ts';
import type { Casework } from './casework.ts';
import { type DoorReach, joined, NOTHING } from './place.ts';
import { type CarcassPlan, planCarcass } from './plan.ts';

const boxFrom = (space: Space): Assembly['clear'] => ({ min: [space.x0, space.y0, space.z0], max: [space.x1, space.y1, space.z1] });

const checkFeet = (plan: CarcassPlan): PieceProblem | undefined => {
  const [across, along] = footRoom(plan);
  if (across === 0) return undefined;
  const { body, setback } = plan;
  const room = [body.x1 - body.x0 - 2 * setback, body.z1 - body.z0 - 2 * setback] as const;
  if (across <= room[0] && along <= room[1]) return undefined;
  const short = across > room[0] ? 0 : 1;
  return { code: 'does-not-fit', what: plan.piece.base, available: room[short], needed: short === 0 ? across : along };
};

/** What hangs in from above, or a lamp's hole, must not meet what stands inside.
 *  The tub and the lamps are found things: they are not cut to fit, so whatever they meet is in their way. */
const foundInTheWay = (parts: readonly Part[]): PieceProblem | undefined => {
  const found = parts.filter(({ stuff, role }) => stuff === 'found' && role === 'found');
  for (const thing of found) {
    const box = boxOf(thing);
    const hit = parts.find((part) => part !== thing && findInterference([thing, part]).length > 0);
    if (!hit) continue;
    const other = boxOf(hit);
    return {
      code: 'does-not-fit',
      what: `the tub above the ${hit.name}`,
      available: Math.max(0, box.max[1] - other.max[1]),
      needed: box.max[1] - box.min[1],
    };
  }
  return undefined;
};

/** Builds a casework from its decisions: every part where it stands.
 *  Shape: piece, means → parts that fill the stated box (or leave the stated space) to the micrometre, its bays and what moves.
 *  Errors: 'too-small' when boards leave no clear space, 'no-room' with the path of a bay whose row does not divide, 'does-not-fit'. */
export const buildCasework = (piece: Casework, means: Means): Result<Built, PieceProblem> => {
  const planned = planCarcass(piece, means);
  if (!planned.ok) return planned;
  const plan = planned.value;
  const feet = checkFeet(plan);
  if (feet) return err(feet);
  const { thickness } = plan.sheets.carcass;
  const reach: DoorReach = { left: thickness, right: thickness, bottom: thickness, top: thickness };
  const filled = fill(piece.front, { space: plan.clear, reach, path: [], face: plan.face, behindDoor: false }, plan);
  if (!filled.ok) return filled;
  const frame = faceFrame(plan, filled.value.bays);
  if (!frame.ok) return frame;
  const carcass = carcassPanels(plan);
  const covered = withWorktop([...carcass, ...filled.value.parts, ...frame.value], plan);
  if (!covered.ok) return covered;
  const topped = withHoles(covered.value, plan);
  if (!topped.ok) return topped;
  const inTheWay = foundInTheWay(topped.value);
  if (inTheWay) return err(inTheWay);
  const { motions } = joined(filled.value, { ...NOTHING, motions: lidMotion(plan, carcass) });
  return ok({
    assembly: {
      parts: topped.value,
      outside: boxFrom(plan.outside),
      clear: boxFrom({ ...plan.clear, z1: plan.clear.z1 - plan.inside }),
      motions,
    },
    bays: filled.value.bays,
    openings: frameOpeningsOf(plan, filled.value.bays),
    marks: [],
    extras: piece.standing === 'free' ? [] : [extra('double-sided tape, to fix it to the wall', plan.outside.x1 - plan.outside.x0)],
  });
};
