const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');
// A module runs when it is first needed: much of the framework never is.
config.transformer.getTransformOptions = () =>
  Promise.resolve({ transform: { experimentalImportSupport: true, inlineRequires: true } });

module.exports = config;
