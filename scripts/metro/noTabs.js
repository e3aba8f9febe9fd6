const { createContext } = require('react');

/** Stands in for the router's own bar of tabs: how high one is, is asked where a screen broke, and here there is none. */
exports.BottomTabBarHeightContext = createContext(undefined);
