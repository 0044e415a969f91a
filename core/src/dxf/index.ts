export { boardsDxf } from './boardsDxf.ts';
