// µm, doll size. Whether a body can use a thing: a size against the body's own, with a band that is good and a wider one that is odd.
import type { Body } from './body.ts';

export type Band = readonly [low: number, high: number];

/** A rule: what is compared with what, and which shares of it are good or odd. */
export type Rule = {
  /** What is measured. */
  readonly what: string;
  /** The body's size that it is held against, in words, and its value. */
  readonly against: string;
  readonly of: (body: Body) => number;
  readonly good: Band;
  readonly odd: Band;
  /** What happens below and above. */
  readonly low: string;
  readonly high: string;
  readonly source: string;
};

export const NO_END = 1e6;
const bent = 'interior-design handbooks (Panero & Zelnik; Neufert), recalled from memory, divided by mean statures of 162 and 176 cm';
const common = 'common practice, no source';

/** How high she reaches with her arm nearly stretched. */
const reachOf = ({ shoulder, arm }: Body): number => shoulder + arm * 0.9;

/** The rules. Bands are shares: handbook ranges for adults over the body of a woman and a man of mean stature, with a little room at either end. */
export const RULES = {
  seatHeight: {
    what: 'the seat from the floor',
    against: 'the knee',
    of: ({ knee }) => knee,
    good: [0.84, 1.02],
    odd: [0.7, 1.15],
    low: 'the knees come up too far',
    high: 'the feet do not reach the floor',
    source: bent,
  },
  seatDepth: {
    what: 'the seat, deep',
    against: 'the thigh',
    of: ({ hip, knee }) => hip - knee,
    good: [0.85, 1.2],
    odd: [0.65, 1.7],
    low: 'half the thigh hangs over its edge',
    high: 'the back does not reach the rest while the knees bend',
    source: bent,
  },
  straightSeat: {
    what: 'the seat, deep',
    against: 'the thigh of legs that do not bend',
    of: ({ hip, knee }) => hip - knee,
    good: [0.8, 3],
    odd: [0.5, NO_END],
    low: 'legs that do not bend pull her off it',
    high: 'she sits far back on it',
    source: common,
  },
  sitsStraight: {
    what: 'the seat from the floor',
    against: 'what legs that do not bend are thick',
    of: ({ thighDepth }) => thighDepth,
    good: [0, 4.5],
    odd: [0, 9],
    low: '',
    high: 'legs that do not bend stand out over the floor high up: give her a low seat',
    source: common,
  },
  tableOverSeat: {
    what: 'the table top over the seat',
    against: 'her height',
    of: ({ height }) => height,
    good: [0.14, 0.206],
    odd: [0.1, 0.26],
    low: 'the thighs do not go under it',
    high: 'the elbows are lifted',
    source: bent,
  },
  tableHeight: {
    what: 'the table top from the floor',
    against: 'her height',
    of: ({ height }) => height,
    good: [0.395, 0.475],
    odd: [0.34, 0.55],
    low: 'she bends over it',
    high: 'it comes up to her chest when she sits',
    source: bent,
  },
  kneeRoom: {
    what: 'what is clear under the top',
    against: 'the knee and the thigh on it',
    of: ({ knee, thighDepth }) => knee + thighDepth * 0.4,
    good: [1, NO_END],
    odd: [0.9, NO_END],
    low: 'the knees do not go under it',
    high: '',
    source: `${bent}; two fifths of the thigh over the knee joint: common practice`,
  },
  worktop: {
    what: 'the worktop from the floor',
    against: 'the elbow',
    of: ({ elbow }) => elbow,
    good: [0.78, 0.93],
    odd: [0.66, 1.05],
    low: 'she stoops over it',
    high: 'she works with raised shoulders',
    source: bent,
  },
  reach: {
    what: 'the highest shelf from the floor',
    against: 'how high she reaches',
    of: reachOf,
    good: [0, 1],
    odd: [0, 1.08],
    low: '',
    high: 'she cannot reach it',
    source: 'shoulder and nine tenths of the arm: segment lengths after Drillis & Contini (recalled); the share is common practice',
  },
  railHeight: {
    what: 'the clothes rail from the floor',
    against: 'her height',
    of: ({ height }) => height,
    good: [0.9, 1.1],
    odd: [0.78, 1.25],
    low: 'clothes drag on the floor',
    high: 'she cannot reach it',
    source: bent,
  },
  bedLength: {
    what: 'the mattress, long',
    against: 'her height',
    of: ({ height }) => height,
    good: [1.04, 1.32],
    odd: [1, 1.55],
    low: 'she does not fit in it',
    high: 'it is lost on her',
    source: bent,
  },
  bedWidth: {
    what: 'the mattress, wide',
    against: 'her shoulders',
    of: ({ shoulderBreadth }) => shoulderBreadth,
    good: [1.6, 5],
    odd: [1.25, 7],
    low: 'her arms hang out',
    high: 'it is wide enough for several',
    source: bent,
  },
  headroom: {
    what: 'the clear height over the bed',
    against: 'how tall she sits',
    of: ({ height, hip, thighDepth }) => height - hip + thighDepth * 0.6,
    good: [1.08, NO_END],
    odd: [1, NO_END],
    low: 'she cannot sit up',
    high: '',
    source: common,
  },
  rungs: {
    what: 'from rung to rung',
    against: 'her height',
    of: ({ height }) => height,
    good: [0.11, 0.19],
    odd: [0.08, 0.24],
    low: 'small steps for her',
    high: 'too far to climb',
    source: common,
  },
  doorHeight: {
    what: 'the door, high',
    against: 'her height',
    of: ({ height }) => height,
    good: [1.1, 1.4],
    odd: [1.02, 1.9],
    low: 'she strikes her head',
    high: 'it dwarfs her',
    source: bent,
  },
  doorWidth: {
    what: 'the door, wide',
    against: 'her shoulders',
    of: ({ shoulderBreadth }) => shoulderBreadth,
    good: [1.4, 3.2],
    odd: [1.1, 5],
    low: 'she does not get through',
    high: 'it is a gate to her',
    source: bent,
  },
  wallHeight: {
    what: 'the wall, high',
    against: 'her height',
    of: ({ height }) => height,
    good: [1.25, 1.62],
    odd: [1.08, 2],
    low: 'the room looks cut off over her head',
    high: 'the room towers over her',
    source: `${bent}: a ceiling at 2438 mm`,
  },
  sill: {
    what: 'the sill from the floor',
    against: 'the eyes',
    of: ({ eye }) => eye,
    good: [0.25, 0.7],
    odd: [0, 0.95],
    low: 'it begins at her knees',
    high: 'she does not see out',
    source: bent,
  },
  mirrorTop: {
    what: 'the mirror’s upper edge from the floor',
    against: 'the eyes',
    of: ({ eye }) => eye,
    good: [1.04, NO_END],
    odd: [1, NO_END],
    low: 'she does not see her face in it',
    high: '',
    source: common,
  },
  mirrorLow: {
    what: 'the mirror’s lower edge from the floor',
    against: 'the chin',
    of: ({ chin }) => chin,
    good: [0, 0.97],
    odd: [0, 1.04],
    low: '',
    high: 'it hangs over her face',
    source: common,
  },
  hooks: {
    what: 'the hooks from the floor',
    against: 'how high she reaches',
    of: reachOf,
    good: [0.6, 1],
    odd: [0.53, 1.08],
    low: 'a coat as long as from her shoulder to her knee drags on the floor',
    high: 'she cannot reach them',
    source: common,
  },
  aisle: {
    what: 'the way through',
    against: 'her shoulders',
    of: ({ shoulderBreadth }) => shoulderBreadth,
    good: [1.3, NO_END],
    odd: [1.05, NO_END],
    low: 'she does not get through',
    high: '',
    source: common,
  },
} as const satisfies Readonly<Record<string, Rule>>;

export type RuleName = keyof typeof RULES;
