// Whether this browser draws in three dimensions is found out by beginning to: what that took is kept for whoever draws first.

type Begun = { readonly canvas: HTMLCanvasElement; readonly context: WebGL2RenderingContext };

let begun: Begun | null | undefined;
let handedOut = false;

const begin = (): Begun | null => {
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('webgl2', { alpha: true, antialias: true, depth: true, stencil: false });
  return context && { canvas, context };
};

/** Whether this browser draws in three dimensions at all; asked once, before the model is fetched. */
export const canDrawModel = (): boolean => {
  begun = begun === undefined ? begin() : begun;
  return begun !== null;
};

/** A canvas to draw on, the one that was asked with where nobody has it yet. */
export const canvasToDraw = (): Partial<Begun> => {
  if (handedOut || !begun) return { canvas: document.createElement('canvas') };
  handedOut = true;
  return begun;
};
