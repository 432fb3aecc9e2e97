/** Whether a text is made of words, and is no figure such as `12` or `84 kg`. */
export const hasWords = (text: string): boolean =>
  (text.match(/\p{L}/gu)?.length ?? 0) > 2 * (text.match(/\p{N}/gu)?.length ?? 0)
