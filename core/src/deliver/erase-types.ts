/** `Card.tsx` → `Card.jsx` */
export const plainPath = (path: string): string =>
  path.replace(/\.ts(x?)$/, (_, x: string) => `.js${x}`)

/** TypeScript as JavaScript: what says a type is taken out, and all else stays as it is. */
export const eraseTypes = async (text: string): Promise<string> => {
  const { transform } = await import('sucrase')
  return transform(text, {
    transforms: ['typescript', 'jsx'],
    jsxRuntime: 'preserve',
    disableESTransforms: true,
  }).code
}
