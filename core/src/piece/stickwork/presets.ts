import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { stickworkSchema } from './stickwork.ts';

const preset = presetsOf<z.input<typeof stickworkSchema>>('stickwork', 'sticks');

/** The cot's mattress is 28 × 52 in, recalled from memory of bedding sizes; a clothes rail hangs 1650–1700 mm above the floor (interior-design
 *  handbooks, recalled from memory); the rest is common practice without source. */
export const STICKWORK_PRESETS: readonly Preset[] = [
  preset('cot', 'Cot', 'slats all round; open in front it is a small bed', 'crib baby nursery toddler', {
    form: 'cot',
    width: '1400 mm',
    height: '950 mm',
    depth: '780 mm',
    low: '300 mm',
    gap: '60 mm',
  }),
  preset('clothes-rack', 'Clothes rack', 'two A’s with a rod and a shelf of slats', 'wardrobe shop hang dress', {
    form: 'rack',
    width: '1000 mm',
    height: '1700 mm',
    depth: '700 mm',
    low: '260 mm',
    rail: 'square dowel, 3 mm',
    gap: '40 mm',
  }),
  preset('ladder', 'Leaning ladder', 'leans on a wall; rungs between two stiles', 'library loft blanket towel', {
    form: 'ladder',
    width: '450 mm',
    height: '2000 mm',
    depth: '500 mm',
    gap: '300 mm',
    rod: 'round dowel, 3 mm',
  }),
  preset('easel', 'Easel', 'two legs in front, one behind, a ledge', 'painting art chalkboard menu', {
    form: 'easel',
    width: '600 mm',
    height: '1500 mm',
    depth: '700 mm',
    low: '600 mm',
    rail: 'square dowel, 3 mm',
  }),
  preset('fence', 'Fence', 'slats across two rails', 'garden picket gate pen barrier', {
    form: 'fence',
    width: '1800 mm',
    height: '900 mm',
    low: '150 mm',
    slat: 'craft stick',
    gap: '60 mm',
  }),
  preset('curtain-rod', 'Rod with finials', 'a rod in brackets, a disc at either end', 'curtain rail towel pole', {
    form: 'rail',
    width: '1500 mm',
    depth: '140 mm',
    rod: 'round dowel, 3 mm',
    knob: '60 mm',
  }),
  preset('stick-shelves', 'Shelves of sticks', 'uprights and shelves of flat sticks', 'bookcase tall craft', {
    form: 'shelves',
    width: '750 mm',
    height: '1250 mm',
    depth: '120 mm',
    post: 'jumbo stick',
    rail: 'jumbo stick',
    layers: 2,
    count: 6,
    low: '200 mm',
    clear: '150 mm',
  }),
  preset('plate-rack', 'Plate rack', 'plates stand between two rows of pegs', 'dish drainer kitchen', {
    form: 'plate rack',
    width: '450 mm',
    height: '180 mm',
    depth: '250 mm',
    rail: 'square dowel, 3 mm',
    slat: 'toothpick',
    gap: '35 mm',
  }),
];
