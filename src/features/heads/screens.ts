/** The screens of the heads in one file, fetched together. */
export { HeadEditor } from './HeadEditor';
export { HeadScreen } from './HeadScreen';
export { HeadsScreen } from './HeadsScreen';
export { FirstRecipesScreen } from './FirstRecipesScreen';
