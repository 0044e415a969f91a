export { type Bed, type Bedful, layOnBeds, plotDxf, plotSvg, USUAL_BEDS } from './beds.ts';
export { type Cutout, PLOT_LAYERS, type PlotLayer, paperCutout, templateCutout } from './cutout.ts';
export { crossingIn, type OutlineMend, type OutlineProblem, type ReadOutline, readOutline } from './outlineFile.ts';
export { type ReadPlot, readDxfPlot, readSvgPlot } from './readPlot.ts';
export { type Doing, type MadeStroke, type Trial, tryPlot } from './simulated.ts';
