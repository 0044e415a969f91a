/** Puts a picture on a canvas as large as it is. */
export const showPicture = (canvas: HTMLCanvasElement, picture: ImageBitmap): void => {
  Object.assign(canvas, { width: picture.width, height: picture.height });
  canvas.getContext('2d')?.drawImage(picture, 0, 0);
  picture.close();
};
