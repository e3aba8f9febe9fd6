import '@expo/metro-runtime';
// Sets up what loads the other parts of the application.
import 'expo';
import { startLanguage } from './src/store/startLanguage';

// Nothing is shown in another language first.
void startLanguage().then(() => require('expo-router/entry'));
