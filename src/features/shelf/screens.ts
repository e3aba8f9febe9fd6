/** The screens of the shelf in one file, fetched together. */
export { LabelScreen } from './LabelScreen';
export { ShelfScreen } from './ShelfScreen';
