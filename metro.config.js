const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

const CONNECTIONS = path.join(
  path.dirname(require.resolve('@react-native-async-storage/async-storage/package.json')),
  'lib/module/web-module/IndexedDBConnectionRegistry.js',
);

const JSON_SCHEMA = /\/(?:json-schema-(?:processors|generator)|from-json-schema)\.js$/;

// Zod's entry pulls in every language's messages; the application words its own, so one is enough.
const defaultResolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, moduleName, platform) => {
  const resolve = defaultResolve ?? context.resolveRequest;
  if (moduleName === '../locales/index.js' && context.originModulePath.includes('/zod/')) {
    return resolve(context, '../locales/en.js', platform);
  }
  // The storage package keeps each database open for ever and gives no way to let go of one that the browser has closed.
  if (moduleName === 'async-storage-connections') return { type: 'sourceFile', filePath: CONNECTIONS };
  // Its other build asks for import.meta.url, which a worker of this bundler does not have.
  if (moduleName === 'highs') return { type: 'sourceFile', filePath: require.resolve('highs') };
  // Nothing in the application turns schemas into JSON Schema; the script that does runs in node.
  if (JSON_SCHEMA.test(moduleName) && context.originModulePath.includes('/zod/')) return { type: 'empty' };
  return resolve(context, moduleName, platform);
};

module.exports = withNativeWind(config, { input: './global.css', disableTypeScriptGeneration: true });
