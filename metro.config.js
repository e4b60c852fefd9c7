const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
const previous = config.resolver.resolveRequest;

// React Native Elements asks for fifteen icon fonts (over 3 MB). We draw our icons as SVG and ship none of them.
const ICON_FONTS = /^(@react-native-vector-icons|react-native-vector-icons|@expo\/vector-icons)(\/|$)/;

// What jsPDF asks for to draw web pages and to clean them: we draw everything by its own calls.
const NOT_FOR_TAGS = /^(html2canvas|dompurify|canvg)$/;

config.resolver.resolveRequest = (context, moduleName, platform) => {
  if (NOT_FOR_TAGS.test(moduleName)) return { type: 'empty' };
  if (ICON_FONTS.test(moduleName)) return { type: 'empty' };
  return (previous ?? context.resolveRequest)(context, moduleName, platform);
};

// A module is evaluated when it is first used, not when the page loads: about half the work of starting. Expo's own registry of
// import.meta has to be there from the start, or no worker finds its address.
config.transformer.getTransformOptions = async () => ({
  transform: {
    experimentalImportSupport: true,
    inlineRequires: {
      blockList: { [require.resolve('expo/src/winter/ImportMetaRegistry.ts')]: true },
    },
  },
});

module.exports = config;
