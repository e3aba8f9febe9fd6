/** What the keys open, fetched with the other screens. */
export { KeyHelp } from './KeyHelp';
export { Palette } from './Palette';
export { placeOfKey } from './keyActions';
