/** Stands in for switches of native screens: a browser has none. */
exports.initScreensFeatureFlags = () => undefined;
