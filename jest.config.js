/** Core, server and the command are tested in plain Node; the app's pieces with jest-expo. */
const pure = (displayName) => ({
  displayName,
  rootDir: `${__dirname}/${displayName}`,
  testMatch: ['<rootDir>/**/*.test.ts'],
  testEnvironment: 'node',
  transform: {
    '\\.tsx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
  },
  transformIgnorePatterns: ['/node_modules/'],
  // Looked up inside the tests' own context a global is slow, and the flight model looks these up a million
  // times.
  sandboxInjectedGlobals: ['Math', 'Infinity'],
});

module.exports = {
  testTimeout: 30_000,
  // By default one core is left idle, which on two cores is half of them.
  maxWorkers: '100%',
  projects: [
    pure('core'),
    pure('copy'),
    pure('server'),
    pure('tools'),
    {
      displayName: 'app',
      preset: 'jest-expo',
      rootDir: `${__dirname}/app`,
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
      moduleNameMapper: { '\\.woff2$': `${__dirname}/app/src/shared/testing/file.js` },
      transformIgnorePatterns: [
        '/node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-svg|react-native-gifted-charts|gifted-charts-core|uuid|nanoid|@noble/hashes|standard-navigation))',
      ],
    },
  ],
};
