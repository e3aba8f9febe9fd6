import '@expo/metro-runtime';
// Sets up what loads the other parts of the application.
import 'expo';
import { startLanguage } from './src/store/startLanguage';

// The application is read only when its language is known: many of its texts are put together once, as modules are read.
void startLanguage().then(() => require('expo-router/entry'));
