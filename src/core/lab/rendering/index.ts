export { pagePicture } from './pagePicture';
export { labelPicture } from './labelPicture';
export { pngOf } from './raster';
export { sheetPicture } from './sheetPicture';
