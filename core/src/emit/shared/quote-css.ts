/** A CSS string: everything but letters, digits and a few signs is written as a code (CSS Syntax 3, 4.3.7). */
export const quoteCss = (text: string): string =>
  `"${text.replace(/[^\p{L}\p{N} _.-]/gu, (c) => `\\${c.codePointAt(0)!.toString(16)} `)}"`
