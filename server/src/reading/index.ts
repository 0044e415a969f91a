export { type DocumentProblem, type DocumentReader, documentReader } from './documentReader.ts';
export { type PictureReader, pictureReader, type ReadingProblem } from './pictureReader.ts';
