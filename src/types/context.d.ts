/** Metro's own: all files of a folder whose names fit. */
interface MetroContext<Mode extends 'sync' | 'lazy'> {
  (key: string): Mode extends 'lazy' ? Promise<unknown> : unknown;
  keys(): string[];
}

declare namespace NodeJS {
  interface Require {
    context(folder: string, deep: boolean, names: RegExp): MetroContext<'sync'>;
    context(folder: string, deep: boolean, names: RegExp, mode: 'lazy'): MetroContext<'lazy'>;
  }
}
