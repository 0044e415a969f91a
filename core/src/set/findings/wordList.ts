// Words for titles, plants, food and places, all invented or everyday: nothing here names a person, a work or a firm.
import { seededRandom } from '../../kit/index.ts';

const FIRST = [
  'Salt',
  'Winter',
  'Copper',
  'Quiet',
  'Seven',
  'Lost',
  'Amber',
  'Narrow',
  'Paper',
  'Northern',
  'Hollow',
  'Painted',
  'Little',
  'Crooked',
  'Silver',
  'Sleeping',
];
const THING = [
  'Lantern',
  'Orchard',
  'Harbour',
  'Kite',
  'Mill',
  'Teapot',
  'Weather',
  'Garden',
  'Ladder',
  'Heron',
  'Button',
  'Ferry',
  'Chimney',
  'Thimble',
  'Meadow',
  'Compass',
];
const SECOND = ['of the Marsh', 'in the Rain', 'by Candlelight', 'at Low Tide', 'and the Owl', 'of Tin', 'Below Stairs', 'on the Hill'];
const PLANTS = [
  'Sweet peas',
  'Marigolds',
  'Carrots',
  'Runner beans',
  'Radishes',
  'Poppies',
  'Parsley',
  'Beetroot',
  'Cornflowers',
  'Lettuce',
  'Leeks',
  'Pansies',
];
const FOOD = ['garden peas', 'tomato soup', 'plum jam', 'baked beans', 'sweetcorn', 'pear halves', 'sardines', 'rice pudding'];
const NAMES = ['Harbour Lane', 'Two Gulls', 'Old Mill', 'Windy Corner', 'Low Meadow', 'Ferry Steps', 'Brick Row', 'Hazel Yard'];
const TOWNS = ['Saltby', 'Marrowick', 'Low Quay', 'Thornmere', 'Eelstone', 'Great Puddock', 'Wickerby', 'Fennhaven'];

const LISTS: Readonly<Record<string, (pick: (list: readonly string[]) => string, chance: number) => string>> = {
  title: (pick, chance) =>
    chance < 0.35
      ? `The ${pick(FIRST)} ${pick(THING)}`
      : chance < 0.6
        ? `${pick(THING)}s ${pick(SECOND)}`
        : chance < 0.8
          ? `A ${pick(THING)} ${pick(SECOND)}`
          : `${pick(FIRST)} ${pick(THING)}s`,
  plant: (pick) => pick(PLANTS),
  food: (pick) => pick(FOOD),
  name: (pick) => pick(NAMES),
  town: (pick) => pick(TOWNS),
};

/** Words with their blanks filled in by chance: the same seed fills them the same way; all blanks of one kind alike. “{n}” is left for the count. */
export const filledIn = (words: string, seed: number): string =>
  words.replace(/\{(\w+)\}/g, (blank, kind: string) => {
    const list = LISTS[kind];
    if (!list) return blank;
    const random = seededRandom(seed * 2_654_435 + kind.length * 97);
    random();
    return list((all) => all[Math.floor(random() * all.length)] as string, random());
  });
