module.exports = function (api) {
  const test = api.env('test');
  return {
    presets: ['babel-preset-expo'],
    // Jest runs CommonJS, where import() is not to be had; and it weighs nothing.
    plugins: [test ? '@babel/plugin-transform-dynamic-import' : './scripts/barrels.cjs'],
  };
};
