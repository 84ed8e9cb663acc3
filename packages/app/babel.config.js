module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV);
  return {
    presets: ['babel-preset-expo'],
    // Ships only the parts that are used, of Paper and of our own packages.
    env: { production: { plugins: ['react-native-paper/babel', './barrels.js'] } },
  };
};
