/** For tests of code with no interface, run by this very node: nothing is written in an older language, only types go. */
module.exports = {
  presets: [['@babel/preset-env', { targets: { node: 'current' } }], '@babel/preset-typescript'],
};
