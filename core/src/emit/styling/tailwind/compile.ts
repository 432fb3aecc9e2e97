/**
 * Compiles a style sheet for the classes in use. `library` is the text of Tailwind's own `index.css`,
 * given by the host: `core` reads no files. No other sheet can be loaded.
 */
export const compileStyles = async (
  source: string,
  classes: readonly string[],
  library: string,
): Promise<string> => {
  const { compile } = await import('tailwindcss')
  const { build } = await compile(source, {
    base: '/',
    loadStylesheet: (id, base) =>
      id === 'tailwindcss'
        ? Promise.resolve({ content: library, base, path: 'tailwindcss/index.css' })
        : Promise.reject(
            new Error(`the style sheet imports "${id}", which is not part of the delivery`),
          ),
  })
  return build([...classes])
}
