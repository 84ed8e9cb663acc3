module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV);
  return {
    presets: ['babel-preset-expo'],
    // Ships only the parts of Paper that are used.
    env: { production: { plugins: ['react-native-paper/babel'] } },
  };
};
