/** What the charts draw with, without the rest of its package. */
export { default as area } from '../../node_modules/d3-shape/src/area.js';
export { default as line } from '../../node_modules/d3-shape/src/line.js';
export {
  monotoneX as curveMonotoneX,
  monotoneY as curveMonotoneY,
} from '../../node_modules/d3-shape/src/curve/monotone.js';
