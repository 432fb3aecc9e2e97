const PRINT_WIDTH = 80

/** An opening tag on one line, or with an attribute a line where it, and what ends it there, is too long for one. */
export const openingTag = (
  indent: string,
  tag: string,
  attributes: readonly string[],
  end = '',
): string => {
  const oneLine = `${indent}<${tag} ${attributes.join(' ')}>${end}`
  if (oneLine.length <= PRINT_WIDTH) return oneLine
  const lines = attributes.map((attribute) => `${indent}  ${attribute}\n`)
  return `${indent}<${tag}\n${lines.join('')}${indent}>${end}`
}
