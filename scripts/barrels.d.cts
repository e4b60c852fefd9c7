import type { PluginObj } from '@babel/core';

/** Rewrites imports from an index to the files that hold the names. */
declare const barrels: (babel: object) => PluginObj;
export = barrels;
