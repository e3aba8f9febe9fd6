/** For tests of code with no interface: no NativeWind, no React Native. */
module.exports = {
  presets: ['babel-preset-expo'],
};
