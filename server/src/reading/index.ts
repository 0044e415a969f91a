export { type DocumentProblem, type DocumentReader, documentReader } from './documentReader.ts';
export { type PictureReader, PICTURE_SECONDS, pictureReader, type ReadingProblem } from './pictureReader.ts';
