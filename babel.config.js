module.exports = function (api) {
  api.cache(true);
  return {
    // English stands in the code, so it is not left out.
    plugins: [['@lingui/babel-plugin-lingui-macro', { stripMessageField: false }]],
    presets: [['babel-preset-expo', { jsxImportSource: 'nativewind' }], 'nativewind/babel'],
  };
};
