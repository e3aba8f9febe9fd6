export { wordsOfPage, type ReadPage } from './page';
export { readLabel, type LabelTrouble, type ReadLabel, type Recognise } from './readLabel';
export { readPrinted, type ReadPrinted } from './readPrinted';
export { type FoundName, type NameFate, type ReadWord } from './readNames';
