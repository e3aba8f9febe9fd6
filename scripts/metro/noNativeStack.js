/** Stands in for the stack of native screens, which the router brings along: the application shows one place at a time. */
exports.createNativeStackNavigator = () => ({ Navigator: () => null });
