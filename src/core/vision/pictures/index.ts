export {
  distance,
  grayFrom,
  grayOf,
  matOf,
  straightened,
  withMats,
  type Cv,
  type Gray,
  type Mat,
  type Picture,
  type Point,
} from './picture';
