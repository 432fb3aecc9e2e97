/** A string in TypeScript source, in the quotes that need fewer escapes, double if equal. */
export const quoteString = (text: string): string => {
  const inDouble = JSON.stringify(text)
    .replace(/\u2028/g, '\\u2028')
    .replace(/\u2029/g, '\\u2029')
    // It would end the script of a file that has markup too.
    .replace(/<\/(?=script)/gi, '<\\u002f')
  const singles = text.split("'").length
  const doubles = text.split('"').length
  if (doubles <= singles) return inDouble
  return `'${inDouble.slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'")}'`
}

/** A name as the key of an object: in quotes where it has to be. */
export const quoteKey = (name: string): string =>
  /^[A-Za-z_$][\w$]*$/.test(name) ? name : quoteString(name)
