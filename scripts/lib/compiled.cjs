/** How TypeScript is made to run in node, for tests and the command line alike: this very node, so nothing is written in an older language. */
module.exports = {
  swcrc: false,
  jsc: {
    target: 'es2023',
    parser: { syntax: 'typescript' },
    experimental: {
      plugins: [['@lingui/swc-plugin', { runtimeModules: { i18n: ['@/core/base/language', 'i18n'] } }]],
      cacheRoot: '.cache/swc',
    },
  },
  module: { type: 'commonjs' },
};
