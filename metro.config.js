const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

const CONNECTIONS = path.join(
  path.dirname(require.resolve('@react-native-async-storage/async-storage/package.json')),
  'lib/module/web-module/IndexedDBConnectionRegistry.js',
);

const JSON_SCHEMA = /\/(?:json-schema-(?:processors|generator)|from-json-schema)\.js$/;

/**
 * What packages bring along for devices that are not browsers, by the file that asks for it, and what stands there instead; nothing where
 * it is left out. It was 50 KB of the first screen. `npm run verify` opens every place without it.
 */
const UNUSED = [
  [/\/expo-router\/build\/exports\.js$/, /^\.\/layouts\/(?:Tabs|experimental-stack)$/],
  [/\/expo-router\/build\/index\.js$/, /^\.\/(?:stack|color)$/],
  [/\/expo-router\//, /\/native-stack\/createNativeStackNavigator$/, 'noNativeStack'],
  [/\/expo-router\//, /\/screensFeatureFlags$/, 'noScreenFlags'],
  [/\/expo-router\/build\/views\//, /\/bottom-tabs$/, 'noTabs'],
  [
    /\/react-native-web\/dist\/index\.js$/,
    /^\.\/exports\/(?:Animated|FlatList|SectionList|VirtualizedList)$/,
  ],
  // Charts draw lines and areas with one curve: the other shapes stay off the first screen.
  [/\/src\/ui\/charts\//, /^d3-shape$/, 'lines'],
  // A browser reads what a drawing says about turning by itself; the parsers are for other platforms.
  [/\/react-native-svg\/lib\/module\/lib\/extract\/extractTransform\.js$/, /^\.\/transform(?:ToRn)?$/],
  // Drawings that are read from text.
  [/\/react-native-svg\/lib\/module\/ReactNativeSVG\.web\.js$/, /^\.\/xml$/],
];

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
  const unused = UNUSED.find(
    ([from, what]) => platform === 'web' && from.test(context.originModulePath) && what.test(moduleName),
  );
  if (unused?.[2])
    return { type: 'sourceFile', filePath: path.join(__dirname, 'scripts/metro', `${unused[2]}.js`) };
  if (unused) return { type: 'empty' };
  return resolve(context, moduleName, platform);
};

module.exports = withNativeWind(config, { input: './global.css', disableTypeScriptGeneration: true });
