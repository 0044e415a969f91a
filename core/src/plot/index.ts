export { type Bedful, layOnBeds, type MachineBed, plotDxf, plotSvg, USUAL_BEDS } from './beds.ts';
export { type Cutout, PLOT_LAYERS, type PlotLayer, paperCutout, templateCutout } from './cutout.ts';
export { crossingIn, type OutlineMend, type OutlineProblem, type ReadOutline, readOutline } from './outlineFile.ts';
export { type ReadPlot, readDxfPlot, readSvgPlot } from './readPlot.ts';
export { type MachineAction, type MadeStroke, type Trial, tryPlot } from './simulated.ts';
