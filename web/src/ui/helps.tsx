// What a maker may want to know at a field: words and small drawings.
import { Help } from './Help.tsx';
import { Sketch } from './Sketch.tsx';

export const CornerHelp = () => (
  <Help
    about="which panel runs over"
    drawing={
      <Sketch
        parts={[
          {
            label: 'sides',
            boxes: [
              [15, 8, 8, 54, 'chosen'],
              [77, 8, 8, 54, 'chosen'],
              [23, 8, 54, 8],
              [23, 54, 54, 8],
            ],
          },
          {
            label: 'top',
            boxes: [
              [15, 16, 8, 38],
              [77, 16, 8, 38],
              [15, 8, 70, 8, 'chosen'],
              [15, 54, 70, 8, 'chosen'],
            ],
          },
        ]}
      />
    }
  >
    <p>
      At a corner one panel goes through and the other stops against it. The one between two others is shorter by two boards; getting this
      wrong is the most common mistake.
    </p>
    <p>Bookcases mostly have sides that run over; tables and counters a top.</p>
  </Help>
);

export const HoldHelp = () => (
  <Help
    about="outside or inside"
    drawing={
      <Sketch
        parts={[
          {
            label: 'outside',
            boxes: [
              [15, 8, 70, 54, 'cut'],
              [17, 10, 10, 50],
              [73, 10, 10, 50],
              [27, 10, 46, 10],
              [27, 50, 46, 10],
            ],
          },
          {
            label: 'inside',
            boxes: [
              [10, 4, 10, 62],
              [80, 4, 10, 62],
              [20, 4, 60, 10],
              [20, 56, 60, 10],
              [21, 15, 58, 40, 'cut'],
            ],
          },
        ]}
      />
    }
  >
    <p>Foam board is thicker than furniture board would be at doll size, so something has to give.</p>
    <p>
      Hold the outside when it must stand in line with other things. Hold the inside when something must fit into it: books, a found tub, a
      mattress.
    </p>
  </Help>
);

export const BackHelp = () => (
  <Help
    about="the back, seen from above"
    drawing={
      <Sketch
        parts={[
          {
            label: 'between',
            boxes: [
              [15, 10, 10, 50],
              [75, 10, 10, 50],
              [25, 10, 50, 10, 'chosen'],
            ],
          },
          {
            label: 'behind',
            boxes: [
              [15, 20, 10, 40],
              [75, 20, 10, 40],
              [15, 10, 70, 10, 'chosen'],
            ],
          },
          {
            label: 'none',
            boxes: [
              [15, 10, 10, 50],
              [75, 10, 10, 50],
            ],
          },
        ]}
      />
    }
  >
    <p>Between the panels its edges are hidden, and it keeps the box square. Behind them it covers their edges and is easier to cut.</p>
  </Help>
);

export const DoorHelp = () => (
  <Help
    about="how a door sits, seen from above"
    drawing={
      <Sketch
        parts={[
          {
            label: 'lies on the front',
            boxes: [
              [12, 10, 9, 36],
              [79, 10, 9, 36],
              [16, 47, 68, 9, 'chosen'],
            ],
          },
          {
            label: 'sits inside',
            boxes: [
              [12, 10, 9, 46],
              [79, 10, 9, 46],
              [23, 47, 54, 9, 'chosen'],
            ],
          },
        ]}
      />
    }
  >
    <p>
      A door on the front hides small faults and needs no exact gap. A door that sits inside needs the same gap all round, or it sticks.
    </p>
  </Help>
);

export const ThicknessHelp = () => (
  <Help
    about="thickness as measured"
    drawing={
      <Sketch
        parts={[{ label: 'ten in a stack', boxes: Array.from({ length: 10 }, (_, index) => [20, 10 + index * 5, 46, 5] as const) }]}
      />
    }
  >
    <p>
      Board is seldom as thick as it says: a tenth more or less is usual. Press ten pieces together, measure the stack, divide by ten. Every
      part then follows what you measured.
    </p>
  </Help>
);

export const GapHelp = () => (
  <Help
    about="knife gap and trim"
    drawing={
      <Sketch
        parts={[
          {
            label: 'gap',
            boxes: [
              [10, 10, 36, 50],
              [54, 10, 36, 50],
            ],
          },
          {
            label: 'trim',
            boxes: [
              [10, 8, 80, 54],
              [16, 14, 68, 42, 'cut'],
            ],
          },
        ]}
      />
    }
  >
    <p>The gap is what a cut takes away between two parts: nothing for a sharp knife, a millimetre or more for a saw.</p>
    <p>The trim is what you cut off each edge of a sheet first, because bought edges are dented.</p>
  </Help>
);

export const GrainHelp = () => (
  <Help
    about="grain"
    drawing={<Sketch parts={[{ label: 'along the sheet', boxes: [20, 30, 40, 50, 60, 70].map((x) => [x, 8, 4, 54, 'thing'] as const) }]} />}
  >
    <p>
      Wood and lined board look and bend differently along and across. With grain, standing panels keep it upright and lying ones keep it
      along their length, so parts are not turned on the sheet.
    </p>
  </Help>
);

export const MarginHelp = () => (
  <Help
    about="margin and overlap"
    drawing={
      <Sketch
        parts={[
          {
            label: 'margin',
            boxes: [
              [30, 4, 42, 62],
              [34, 9, 34, 52, 'cut'],
            ],
          },
          {
            label: 'overlap',
            boxes: [
              [12, 14, 44, 40],
              [44, 14, 44, 40, 'thing'],
            ],
          },
        ]}
      />
    }
  >
    <p>No printer prints to the very edge. Take its margin from its papers, or print a page and measure.</p>
    <p>What is larger than a page comes in tiles. Where two tiles overlap, lay cross on cross, tape, and cut through both.</p>
  </Help>
);
