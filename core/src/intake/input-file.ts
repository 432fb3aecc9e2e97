/** Largest file that is read. Above it a message is kinder than a frozen page. */
export const MAX_FILE_BYTES = 40_000_000

/** A file as it was chosen, dropped, pasted or named on the command line. */
export type InputFile = { readonly name: string; readonly bytes: Uint8Array }

/** The name without folders: `art/tide.svg` → `tide.svg`. */
export const baseName = (path: string): string => path.split(/[\\/]/).at(-1)!

export const isFontFile = (name: string): boolean => /\.(woff2?|ttf|otf)$/i.test(name)
