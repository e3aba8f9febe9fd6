export { labelPicture } from './labelPicture';
export { canvasOf, pngOf } from './raster';
export { sheetPicture } from './sheetPicture';
