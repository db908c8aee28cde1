const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');
// A module runs when it is first needed: much of the framework never is.
config.transformer.getTransformOptions = () =>
  Promise.resolve({ transform: { experimentalImportSupport: true, inlineRequires: true } });

/**
 * What the framework's own index files pull in and nothing here renders: navigators with headers and tabs (the app has
 * one slot, its own frame and its own page for what breaks), their site map, and lists that draw what is in view. They
 * are left out of the build.
 */
const NOT_RENDERED = [
  /\/expo-router\/build\/layouts\/(Tabs|TabsClient|_web-modal)(\.web)?\.js$/,
  /\/expo-router\/build\/layouts\/(experimental-stack|stack-utils)\//,
  /\/expo-router\/build\/react-navigation\/native-stack\/(views|utils)\//,
  /\/expo-router\/build\/native-tabs\//,
  /\/expo-router\/build\/views\/(Sitemap|ErrorBoundary|Toast)\.js$/,
  /\/react-native-web\/dist\/exports\/(FlatList|SectionList|VirtualizedList)\//,
  /\/react-native-web\/dist\/vendor\/react-native\/(FlatList|SectionList|VirtualizedList|VirtualizedSectionList)\//,
];
/** Packages of which two copies of one version are installed: one is built in. */
const ONCE = new Set(['@tanstack/query-core']);

const isLeftOut = ({ type, filePath }, platform) =>
  platform === 'web' &&
  type === 'sourceFile' &&
  NOT_RENDERED.some((each) => each.test(filePath.split(path.sep).join('/')));

config.resolver.resolveRequest = (context, name, platform) => {
  const origin = ONCE.has(name)
    ? { ...context, originModulePath: path.join(__dirname, 'package.json') }
    : context;
  const found = context.resolveRequest(origin, name, platform);
  return isLeftOut(found, platform) ? { type: 'empty' } : found;
};

module.exports = config;
