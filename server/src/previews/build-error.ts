/** Where something is wrong, as compilers say it: `src/App.tsx:12: message`. */
export const describeError = (message: string, path?: string, line?: number): string =>
  path === undefined
    ? message
    : line === undefined
      ? `${path}: ${message}`
      : `${path}:${line}: ${message}`
