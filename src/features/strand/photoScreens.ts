/** Apart from the other screens: choosing and shrinking pictures is code that few visits need. */
export { PhotoScreen } from './PhotoScreen';
