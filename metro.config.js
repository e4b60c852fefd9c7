const { createHash } = require('node:crypto');
const { readdirSync, readFileSync, statSync } = require('node:fs');
const { join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
const previous = config.resolver.resolveRequest;

// React Native Elements asks for fifteen icon fonts (over 3 MB). We draw our icons as SVG and ship none of them.
const ICON_FONTS = /^(@react-native-vector-icons|react-native-vector-icons|@expo\/vector-icons)(\/|$)/;

// Its list of those fonts goes too: it is looked into when one of its icons is drawn, and none ever is.
const ICON_LIST = /[\\/]helpers[\\/]getIconType(\.js)?$|^\.\/getIconType$/;

// What jsPDF asks for to draw web pages and to clean them: we draw everything by its own calls.
const NOT_FOR_TAGS = /^(html2canvas|dompurify|canvg)$/;

// Which file an import means also hangs on what other files hand out: the names that each does are part of the cache's name.
const HANDED_OUT =
  /^export (?:\*[^;]*|\{[^}]*\}[^;]*|default|(?:async |declare |abstract )*(?:function\*?|const|let|class|type|interface|enum) \w+)/gm;
config.cacheVersion = createHash('sha1')
  .update(
    ['core', 'src']
      .flatMap((each) => filesIn(join(__dirname, each)))
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
      .map((file) => `${file}\n${(readFileSync(file, 'utf8').match(HANDED_OUT) ?? []).join('\n')}`)
      .concat(
        ['scripts/barrels.cjs', 'package-lock.json'].map((file) =>
          readFileSync(join(__dirname, file), 'utf8'),
        ),
      )
      .join('\n'),
  )
  .digest('hex');

function filesIn(path) {
  return readdirSync(path, { recursive: true, encoding: 'utf8' })
    .sort()
    .map((name) => join(path, name))
    .filter((file) => statSync(file).isFile());
}

// What the router offers and this app never takes: tabs, stacks, headers and menus of a telephone's own system.
const ROUTER = /expo-router[\\/]build[\\/]/;
const NOT_OF_THE_ROUTER = new Set([
  './stack',
  './color',
  './link',
  './standard-navigation',
  './stack-utils',
  './screensFeatureFlags',
  './layouts/Tabs',
  './layouts/experimental-stack',
  './views/ErrorBoundary',
  './views/Sitemap',
  './views/useSitemap',
  './views/Unmatched',
  './Unmatched',
  './preview/HrefPreview',
  './StaticNavigation',
  './createStaticNavigation',
  './DrawerRouter',
  './TabRouter',
  './ServerContainer',
  '../fork/native-stack/createNativeStackNavigator',
  '../native-tabs/NativeTabTrigger',
  '../react-navigation/bottom-tabs',
]);
const ROUTER_STUB = require.resolve('./scripts/routerStub.js');
const ROUTER_NATIVE = require.resolve('./scripts/routerNative.js');

config.resolver.resolveRequest = (context, moduleName, platform) => {
  if (NOT_FOR_TAGS.test(moduleName)) return { type: 'empty' };
  if (ICON_FONTS.test(moduleName)) return { type: 'empty' };
  if (ICON_LIST.test(moduleName) && /@rneui/.test(context.originModulePath)) return { type: 'empty' };
  if (ROUTER.test(context.originModulePath)) {
    if (NOT_OF_THE_ROUTER.has(moduleName)) return { type: 'sourceFile', filePath: ROUTER_STUB };
    if (moduleName === 'react-native') return { type: 'sourceFile', filePath: ROUTER_NATIVE };
  }
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

// Giving the same short names to what every module is handed takes a tenth of a first build, and the minifier does it over again.
config.transformer.unstable_disableNormalizePseudoGlobals = true;
config.transformer.minifierPath = require.resolve('./scripts/minifier.cjs');
config.transformer.minifierConfig = {};

// A first build takes minutes and says nothing of itself: every ten seconds it is told how far it is. A file that was transformed is put
// into every store of the cache, this one among them.
const ALL_FILES = 2020;
let transformed = 0;
config.cacheStores = [
  ...config.cacheStores,
  { name: 'counted', get: async () => null, set: async () => void transformed++, clear: () => undefined },
];
const told = setInterval(() => {
  if (transformed > 0) process.stdout.write(`... building: ${transformed} of some ${ALL_FILES} files\n`);
}, 10_000);
told.unref();

module.exports = config;
