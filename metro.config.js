const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

// Zod's entry pulls in every language's messages; the application words its own, so one is enough.
const defaultResolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, moduleName, platform) => {
  const resolve = defaultResolve ?? context.resolveRequest;
  if (moduleName === '../locales/index.js' && context.originModulePath.includes('/zod/')) {
    return resolve(context, '../locales/en.js', platform);
  }
  return resolve(context, moduleName, platform);
};

module.exports = withNativeWind(config, { input: './global.css', disableTypeScriptGeneration: true });
