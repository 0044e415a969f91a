export { boardsDxf } from './boardsDxf.ts';
export { layersDxf } from './layersDxf.ts';
