// The parts of React Native that the router uses. It asks for all of it at once, which would bring along lists, pickers and touchables that nobody uses.
module.exports = {
  get ActivityIndicator() {
    return require('react-native-web/dist/exports/ActivityIndicator').default;
  },
  get Animated() {
    return require('react-native-web/dist/exports/Animated').default;
  },
  get Appearance() {
    return require('react-native-web/dist/exports/Appearance').default;
  },
  get I18nManager() {
    return require('react-native-web/dist/exports/I18nManager').default;
  },
  get Image() {
    return require('react-native-web/dist/exports/Image').default;
  },
  get Linking() {
    return require('react-native-web/dist/exports/Linking').default;
  },
  get Platform() {
    return require('react-native-web/dist/exports/Platform').default;
  },
  get Pressable() {
    return require('react-native-web/dist/exports/Pressable').default;
  },
  get ScrollView() {
    return require('react-native-web/dist/exports/ScrollView').default;
  },
  get StyleSheet() {
    return require('react-native-web/dist/exports/StyleSheet').default;
  },
  get Text() {
    return require('react-native-web/dist/exports/Text').default;
  },
  get View() {
    return require('react-native-web/dist/exports/View').default;
  },
  get useColorScheme() {
    return require('react-native-web/dist/exports/useColorScheme').default;
  },
};
