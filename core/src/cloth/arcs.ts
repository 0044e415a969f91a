// Arcs: how long cloth is that is bowed over something. Any unit; angles in radians.

/** The length of a circle's arc over a chord, which stands out so far in the middle. Source: the circular segment, as handbooks give it: r = (c² + 4h²) / 8h, l = 2 r asin(c / 2r),
 *  recalled from Machinery's Handbook. */
export const arcOver = (chord: number, sagitta: number): number => {
  if (sagitta <= 0) return chord;
  const radius = (chord * chord + 4 * sagitta * sagitta) / (8 * sagitta);
  const half = Math.asin(Math.min(1, chord / (2 * radius)));
  // What stands out more than half a circle is more than half of one.
  return 2 * radius * (sagitta > chord / 2 ? Math.PI - half : half);
};

/** Half the angle of an arc so long that it stands out so far: the inverse of the above. */
export const halfAngleOf = (length: number, sagitta: number): number => {
  if (sagitta <= 0) return 0;
  // (1 − cos θ) / 2θ rises up to about θ = 2.33, where it is 0.362; what is asked for is well below. Newton's steps from where it is nearly θ / 4.
  const wanted = Math.min(0.355, sagitta / length);
  let half = 4 * wanted;
  for (let step = 0; step < 12; step += 1) {
    const off = (1 - Math.cos(half)) / (2 * half) - wanted;
    const slope = (half * Math.sin(half) - 1 + Math.cos(half)) / (2 * half * half);
    half = Math.min(2.28, Math.max(1e-9, half - off / slope));
    if (Math.abs(off) < 1e-14) break;
  }
  return half;
};

/** What a padded edge takes of the cloth over it: half round its thickness, less what it reaches inwards, on both sides together. */
export const loftOf = (thickness: number): number => (Math.PI / 2 - 1) * thickness;

/** How long one wave of a sine is for each of its height, as shares of the wave's span: steps of the curve, and where it has come to. */
const waveTable = (amplitude: number, span: number, steps: number): readonly number[] => {
  const lengths = [0];
  let sum = 0;
  for (let step = 1; step <= steps; step += 1) {
    const rise = amplitude * (Math.sin((2 * Math.PI * step) / steps) - Math.sin((2 * Math.PI * (step - 1)) / steps));
    sum += Math.hypot(span / steps, rise);
    lengths.push(sum);
  }
  return lengths;
};

const STEPS = 96;

/** A wave so wide whose line is so long: its height, and how far along it is at each of equal steps across. */
export const waveOf = (span: number, length: number): { readonly amplitude: number; readonly along: readonly number[] } => {
  if (length <= span * (1 + 1e-9)) return { amplitude: 0, along: waveTable(0, span, STEPS) };
  let [low, high] = [0, length];
  for (let step = 0; step < 34; step += 1) {
    const middle = (low + high) / 2;
    if ((waveTable(middle, span, STEPS).at(-1) as number) < length) low = middle;
    else high = middle;
  }
  return { amplitude: low, along: waveTable(low, span, STEPS) };
};

/** The radius of a circle drawn with so many corners whose sides together are as long as the true circle. */
export const drawnRadius = (radius: number, corners: number): number => ((Math.PI / corners) * radius) / Math.sin(Math.PI / corners);
