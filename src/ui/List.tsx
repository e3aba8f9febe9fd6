import { remapProps } from 'nativewind';
import { FlatList } from 'react-native';

// NativeWind gives lists their class names when it starts; the first screen has no list, so it finds none there (metro.config.js).
remapProps(FlatList, {
  className: 'style',
  contentContainerClassName: 'contentContainerStyle',
  columnWrapperClassName: 'columnWrapperStyle',
});

/** Long lists: only what is near the view is drawn. Asked for by its own path, to stay off the first screen. */
export { FlatList as List };
