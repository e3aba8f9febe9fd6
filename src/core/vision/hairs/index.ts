export type { HairBall } from './balls';
export { countDoubt, countsOf, joined, keptFrom, split, struck, turned, type KeptHair } from './byHand';
export { measureHairs, type MeasuredHair, type MeasuredSheet, type SheetTrouble } from './measureHairs';
