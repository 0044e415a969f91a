import type { Words } from './speech.ts';

/** What is said about small goods and cloth. */
export const GOODS_WORDS: Words<
  | 'too-thick-to-fold'
  | 'strip-too-narrow'
  | 'lid-too-tight'
  | 'art-upside-down'
  | 'small-part'
  | 'no-such-shelf'
  | 'within-seams'
  | 'curtain-skimpy'
  | 'reaches-floor'
  | 'cloth-too-narrow'
  | 'glue-through'
  | 'cloth-frays'
  | 'quilt-folds-not'
  | 'mattress-off'
  | 'too-tall-for-place'
  | 'wider-than-place'
  | 'place-gone'
> = {
  'too-thick-to-fold': (finding, { fine }) => ({
    title: 'Paper too thick to fold so small',
    reason: `“${finding.panel}” is ${fine(finding.numbers.fold)} from fold to edge, in paper of ${fine(finding.numbers.paper)}: under three thicknesses it crushes. Take thinner paper, or make it larger.`,
  }),
  'strip-too-narrow': (finding, { fine }) => ({
    title: 'Too narrow to cut',
    reason: `The ${finding.net} is a strip of ${fine(finding.numbers.width)}; under ${fine(finding.numbers.least)} scissors and fingers lose it.`,
  }),
  'lid-too-tight': (finding, { fine }) => ({
    title: 'The lid will not go on',
    reason: `It is looser than the box by ${fine(finding.numbers.play)} on each side; folds and glue take ${fine(finding.numbers.least)} at least.`,
  }),
  'art-upside-down': (finding) => ({
    title: 'Upside down once it is folded',
    reason: `What is printed on “${finding.panel}” stands on its head there.`,
  }),
  'small-part': (finding, { show }) => ({
    title: 'A small part',
    reason: `At ${show(finding.numbers.longest)} it can be swallowed: not for children under three. For small children leave it out, or glue it down.`,
  }),
  'no-such-shelf': () => ({
    title: 'Its shelf is gone',
    reason: 'The shelf that it was to fill is not there any more; as many as you said are made.',
  }),
  'within-seams': (finding, { show }) => ({
    title: 'Smaller than its seams let it be',
    reason: `It is ${show(finding.numbers.size)} wide, and ${show(finding.numbers.seam)} is sewn in on each side: turned inside out, nearly all of it is seam.`,
  }),
  'curtain-skimpy': (finding, { show }) =>
    finding.severity === 'error'
      ? {
          title: 'The curtain is too short for its rod',
          reason: `Its cloth is ${show(finding.numbers.cloth)} wide, its rod ${show(finding.numbers.rod)}: it does not close.`,
        }
      : {
          title: 'The curtain hangs nearly flat',
          reason: `Its cloth is ${show(finding.numbers.cloth)} wide on a rod of ${show(finding.numbers.rod)}; it falls in folds from one and a half times as wide.`,
        },
  'reaches-floor': (finding, { show }) => ({
    title: 'It reaches the floor',
    reason: `It hangs from ${show(finding.numbers.above)} above the floor, and ${show(finding.numbers.over)} of it would lie there.`,
  }),
  'cloth-too-narrow': (finding, { show }) => ({
    title: 'The cloth is too narrow',
    reason: `“${finding.cloth}” is ${show(finding.numbers.width)} wide, and a piece is ${show(finding.numbers.needed)} across the grain. Take a wider one, or sew it together of two.`,
  }),
  'glue-through': () => ({
    title: 'Hot glue soaks through batting',
    reason:
      'It comes through cloth and batting and burns the fingers that press it down. White glue, or hot glue on the board only; a grown-up holds the gun.',
  }),
  'cloth-frays': (finding) => ({
    title: 'This cloth frays',
    reason: `“${finding.cloth}” comes apart where it is cut and not turned in. Felt and fleece do not.`,
  }),
  'quilt-folds-not': (finding, { show }) => ({
    title: 'The quilt does not fold',
    reason: `Between its panels is a gap of ${show(finding.numbers.gap)}; folded on one another they need ${show(finding.numbers.needed)}.`,
  }),
  'mattress-off': (finding, { show }) => ({
    title: finding.numbers.height > finding.numbers.bed ? 'Thicker than the bed’s mattress' : 'Thinner than the bed’s mattress',
    reason: `It is ${show(finding.numbers.height)} thick; the bed is made for ${show(finding.numbers.bed)}.`,
  }),
  'too-tall-for-place': (finding, { show }) => ({
    title: 'Too tall for where it stands',
    reason: `It is ${show(finding.numbers.height)} high on something that is ${show(finding.numbers.above)} high: it tips easily, and a lamp shines in the eyes.`,
  }),
  'wider-than-place': (finding, { show }) => ({
    title: 'Wider than what it stands on',
    reason: `It stands out beyond it by ${show(finding.numbers.over)}.`,
  }),
  'place-gone': () => ({
    title: 'What it was on is gone',
    reason: 'The place where it was to lie, stand or hang is not there any more; its size is its own again.',
  }),
};
