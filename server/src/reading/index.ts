export { type DocumentProblem, type DocumentReader, documentReader } from './documentReader.ts';
export { PICTURE_SECONDS, type PictureReader, pictureReader, type ReadingProblem } from './pictureReader.ts';
